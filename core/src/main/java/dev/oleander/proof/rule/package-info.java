/**
 * The rules of the proof, a small class each. They are listed in {@code META-INF/services}; a new
 * rule is a new class and a new line there.
 */
package dev.oleander.proof.rule;
