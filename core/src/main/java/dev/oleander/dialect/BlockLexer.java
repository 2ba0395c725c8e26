package dev.oleander.dialect;

import dev.oleander.dialect.ReadBack.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Parts a line into words; comments are passed over. */
final class BlockLexer {

    /** An address with its number, at a column from 1. */
    record Word(char address, double value, String text, int column) {}

    private static final Pattern WORD =
            Pattern.compile("\\s*([A-Z])([+-]?(?:\\d+\\.?\\d*|\\.\\d+))");

    private final Dialect.Comment comment;

    BlockLexer(Dialect.Comment comment) {
        this.comment = comment;
    }

    /** The words of a line; what is none is added to the problems. */
    List<Word> words(String line, int number, List<Problem> problems) {
        List<Word> words = new ArrayList<>();
        int at = 0;
        Matcher matcher = WORD.matcher(line);
        while (at < line.length()) {
            if (line.substring(at).isBlank()) {
                break;
            }
            if (line.startsWith(comment.open(), at)) {
                int end = line.indexOf(comment.close(), at);
                at = end < 0 ? line.length() : end + comment.close().length();
            } else if (matcher.region(at, line.length()).lookingAt()) {
                words.add(
                        new Word(
                                matcher.group(1).charAt(0),
                                Double.parseDouble(matcher.group(2)),
                                matcher.group(1) + matcher.group(2),
                                matcher.start(1) + 1));
                at = matcher.end();
            } else {
                problems.add(
                        new Problem(
                                number,
                                at + 1,
                                "\"%s\" is not a word."
                                        .formatted(
                                                line.substring(
                                                        at, Math.min(line.length(), at + 12)))));
                break;
            }
        }
        return words;
    }
}
