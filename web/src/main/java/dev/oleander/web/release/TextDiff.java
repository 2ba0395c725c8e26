package dev.oleander.web.release;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.Patch;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** The lines of two texts that differ, with some lines around them. */
public final class TextDiff {

    private static final int AROUND = 2;

    private TextDiff() {}

    /**
     * A line of the comparison.
     *
     * @param sign + for new, - for gone, a space for the same, … for lines left out
     * @param number of the line in its own text, from 1
     */
    public record Line(char sign, int number, String text) {

        public String css() {
            return switch (sign) {
                case '+' -> "new";
                case '-' -> "gone";
                case '…' -> "left-out";
                default -> "same";
            };
        }
    }

    /**
     * @param seen what is compared of a line
     * @return empty when both are the same
     */
    public static List<Line> of(String before, String after, UnaryOperator<String> seen) {
        List<String> old = before.lines().toList();
        List<String> now = after.lines().toList();
        Patch<String> patch =
                DiffUtils.diff(old.stream().map(seen).toList(), now.stream().map(seen).toList());
        List<Line> lines = new ArrayList<>();
        int shown = 0;
        for (AbstractDelta<String> delta : patch.getDeltas()) {
            int from = delta.getTarget().getPosition();
            int first = Math.max(shown, from - AROUND);
            if (first > shown) {
                lines.add(new Line('…', 0, first - shown + " lines"));
            }
            same(now, first, from, lines);
            int gone = delta.getSource().getPosition();
            for (int i = gone; i < gone + delta.getSource().size(); i++) {
                lines.add(new Line('-', i + 1, old.get(i)));
            }
            int to = from + delta.getTarget().size();
            for (int i = from; i < to; i++) {
                lines.add(new Line('+', i + 1, now.get(i)));
            }
            shown = Math.min(now.size(), to + AROUND);
            same(now, to, shown, lines);
        }
        return lines;
    }

    private static void same(List<String> text, int from, int to, List<Line> lines) {
        for (int i = from; i < to; i++) {
            lines.add(new Line(' ', i + 1, text.get(i)));
        }
    }
}
