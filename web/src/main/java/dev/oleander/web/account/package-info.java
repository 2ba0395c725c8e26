/** Accounts, roles and signing in. Start at {@code SecurityConfig}. */
package dev.oleander.web.account;
