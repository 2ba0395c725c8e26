package dev.oleander.web.library;

/**
 * What stands against something that was sent to a book; both empty when nothing does.
 *
 * @param of what was sent: rows, a file, or a part of a kind's own
 */
public record BookProblem(String of, String sentence) {

    static final BookProblem NONE = new BookProblem("", "");
}
