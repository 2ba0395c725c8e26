/** What is proved of wire machines, one class a rule. */
package dev.oleander.work.wire.proof;
