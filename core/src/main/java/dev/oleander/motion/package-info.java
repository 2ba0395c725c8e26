/**
 * The motion program: what the machine does, item by item, and how long it takes.
 *
 * <p>In: a {@link dev.oleander.plan.Run}. Out: a {@link dev.oleander.motion.Program} (made by
 * {@link dev.oleander.motion.ProgramCompiler}) and its {@link dev.oleander.motion.Timeline} (made
 * by {@link dev.oleander.motion.TimeModel}). Replay, time, findings and dialects use these and
 * nothing else.
 */
package dev.oleander.motion;
