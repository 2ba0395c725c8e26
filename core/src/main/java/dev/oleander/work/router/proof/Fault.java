package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;

/**
 * Something that a program must not do.
 *
 * @param rule word of the rule
 * @param stop id; empty: the frame of the program
 * @param value found, and {@code limit}: mm, degrees, rev/min, as the rule has it
 */
public record Fault(
        String rule, String stop, Point place, double value, double limit, String sentence) {}
