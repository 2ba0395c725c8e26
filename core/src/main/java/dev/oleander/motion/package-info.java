/**
 * The motion program: what the machine does, item by item, and how long it takes.
 *
 * <p>A {@link dev.oleander.motion.Program} is made by each kind of work from its plan; its {@link
 * dev.oleander.motion.Timeline} is made by {@link dev.oleander.motion.TimeModel}. Replay, time,
 * findings and dialects use these and nothing else.
 */
package dev.oleander.motion;
