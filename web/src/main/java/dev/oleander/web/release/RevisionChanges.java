package dev.oleander.web.release;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.Patch;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** What differs between two revisions of a job: figures, stops, and the text line by line. */
public final class RevisionChanges {

    /** Lines of the same text round a change. */
    private static final int AROUND = 2;

    /** Numbers of blocks say nothing: one more at the front changes all behind it. */
    private static final Pattern NUMBER = Pattern.compile("^N\\d+ ?");

    private final Release before;
    private final Release after;

    public RevisionChanges(Release before, Release after) {
        this.before = before;
        this.after = after;
    }

    /** A figure in both. */
    public record Figure(String name, String before, String after) {

        public boolean differs() {
            return !before.equals(after);
        }
    }

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

    public List<Figure> figures() {
        return List.of(
                new Figure("Machine", before.machine(), after.machine()),
                new Figure("Format", format(before), format(after)),
                new Figure("Machine time", time(before), time(after)),
                new Figure("Lines", count(before), count(after)),
                new Figure(
                        "Released by",
                        before.releasedBy().fullName(),
                        after.releasedBy().fullName()));
    }

    private static String format(Release r) {
        return "%s, version %d".formatted(r.dialect(), r.dialectVersion());
    }

    private static String time(Release r) {
        return Numbers.duration(r.seconds());
    }

    private static String count(Release r) {
        return String.valueOf(r.program().lines().count());
    }

    /** Stops whose motions are not the same in both, by id, with what happened to them. */
    public Map<String, String> stops() {
        if (before.motion() == null || after.motion() == null) {
            return Map.of();
        }
        Map<String, List<Item>> old = byStop(new KeptMotion(before).program());
        Map<String, List<Item>> now = byStop(new KeptMotion(after).program());
        Map<String, String> changes = new LinkedHashMap<>();
        Set<String> all = new HashSet<>(old.keySet());
        for (String stop : now.keySet()) {
            if (!all.contains(stop)) {
                changes.put(stop, "new");
            } else if (!now.get(stop).equals(old.get(stop))) {
                changes.put(stop, "changed");
            }
        }
        old.keySet().stream()
                .filter(stop -> !now.containsKey(stop))
                .forEach(stop -> changes.put(stop, "gone"));
        return changes;
    }

    /** Without ways, which change with the stop before. */
    private static Map<String, List<Item>> byStop(Program program) {
        Map<String, List<Item>> byStop = new LinkedHashMap<>();
        for (Item item : program.items()) {
            if (!item.origin().stop().isEmpty() && !(item instanceof Item.Rapid)) {
                byStop.computeIfAbsent(item.origin().stop(), s -> new ArrayList<>()).add(item);
            }
        }
        return byStop;
    }

    /** The changes of the text with some lines around them; empty when both are the same. */
    public List<Line> lines() {
        List<String> old = before.program().lines().toList();
        List<String> now = after.program().lines().toList();
        Patch<String> patch = DiffUtils.diff(unnumbered(old), unnumbered(now));
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

    private static List<String> unnumbered(List<String> lines) {
        return lines.stream().map(l -> NUMBER.matcher(l).replaceFirst("")).toList();
    }

    public Release before() {
        return before;
    }

    public Release after() {
        return after;
    }
}
