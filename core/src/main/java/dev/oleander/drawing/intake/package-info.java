/**
 * What all readers of drawing files share: the collector of what they find, within limits, and the
 * pen that makes lines and arcs of curves. Start at {@link dev.oleander.drawing.intake.Collector}.
 */
package dev.oleander.drawing.intake;
