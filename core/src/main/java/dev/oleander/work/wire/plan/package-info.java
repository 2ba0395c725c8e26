/**
 * Plans of wire machines: what is cut from which start hole, in which passes, with which holds and
 * stops, how the wire leans, and in which order it happens.
 */
package dev.oleander.work.wire.plan;
