/**
 * Accounts, roles and signing in. Start at {@code SecurityConfig}.
 *
 * <p>One package, since what guards the doors (filters, encoders, guesses, tokens, sessions) is to
 * be seen by nobody else: hardly a class of it is public.
 */
package dev.oleander.web.account;
