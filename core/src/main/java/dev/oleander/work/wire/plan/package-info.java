/**
 * Plans of wire machines: what is cut from which start hole, in which passes, with which holds and
 * stops, and in which order it happens. Start at {@link dev.oleander.work.wire.plan.WirePlanner}.
 */
package dev.oleander.work.wire.plan;
