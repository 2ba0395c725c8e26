/**
 * What the program does to the material, and whether a person should see something.
 *
 * <p>In: reading, run, motion program and its timeline ({@link dev.oleander.proof.ProofInput}).
 * Out: {@link dev.oleander.proof.Proof}. Start at {@link dev.oleander.proof.Prover}; rules are in
 * {@code proof.rule} and are found as services, so adding one touches no other code. {@link
 * dev.oleander.proof.ProgramComparison} compares two programs.
 */
package dev.oleander.proof;
