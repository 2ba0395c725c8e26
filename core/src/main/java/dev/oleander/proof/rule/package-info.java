/**
 * The rules of the proof that hold for any kind of work, a small class each; the others stand with
 * their kind. All are listed in {@code META-INF/services}; a new rule is a new class and a new line
 * there.
 */
package dev.oleander.proof.rule;
