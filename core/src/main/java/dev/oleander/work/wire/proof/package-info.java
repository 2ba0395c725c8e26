/**
 * What is proved of wire machines, one class a rule.
 *
 * <p>One package, since every rule is one class and most of them share the replay of the wire.
 */
package dev.oleander.work.wire.proof;
