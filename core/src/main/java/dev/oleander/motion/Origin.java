package dev.oleander.motion;

/**
 * Where an item of a program comes from.
 *
 * @param stop id of the stop; empty for items of the frame
 * @param pass from 1; 0 outside passes
 * @param segment position within the pass, from 0; -1 for items that are no segment
 */
public record Origin(String stop, int pass, int segment) {

    public static final Origin FRAME = new Origin("", 0, -1);
}
