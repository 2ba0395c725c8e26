package dev.oleander.work.wire.proof;

import dev.oleander.work.wire.cut.Ruling;

/**
 * A move of a wire as the judge sees it.
 *
 * @param turn to which a rotary axis has turned the work, degrees
 * @param rapid whether it is a travel
 */
record WireMove(Ruling way, double turn, boolean rapid) {}
