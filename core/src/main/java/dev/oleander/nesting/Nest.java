package dev.oleander.nesting;

import java.util.List;

/**
 * What was found.
 *
 * @param rounds of the search until it ended; with as many and the same seed it is found again
 * @param explored rounds before what was found was only pressed together
 * @param tests pairs of parts that were looked at more closely than by their boxes
 */
public record Nest(
        List<NestedSheet> sheets, NestScore score, int rounds, int explored, long tests) {

    public Nest {
        sheets = List.copyOf(sheets);
    }
}
