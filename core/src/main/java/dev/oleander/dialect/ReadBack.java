package dev.oleander.dialect;

import dev.oleander.motion.Program;
import java.util.List;

/**
 * A program read from text.
 *
 * @param lineOfItem number of the line each item stands on, from 1
 * @param isGivenUp whether the rest was not read: too much was not understood, or there is no end
 */
public record ReadBack(
        Program program, List<Integer> lineOfItem, List<Problem> problems, boolean isGivenUp) {

    /** Problems after which a text is read no further; one of another kind has millions. */
    static final int MOST_PROBLEMS = 200;

    /** Something that was not understood. Line and column from 1. */
    public record Problem(int line, int column, String sentence) {}

    public ReadBack {
        lineOfItem = List.copyOf(lineOfItem);
        problems = List.copyOf(problems);
    }
}
