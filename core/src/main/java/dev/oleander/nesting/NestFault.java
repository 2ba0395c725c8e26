package dev.oleander.nesting;

/**
 * A rule that a nest breaks.
 *
 * @param rule gap, overlap, edge, turn, mirror, opening, quantity, stock, locked, fill, priority
 * @param value what was found, and {@code limit} what is needed; mm where they are lengths
 */
public record NestFault(String rule, String sentence, double value, double limit) {}
