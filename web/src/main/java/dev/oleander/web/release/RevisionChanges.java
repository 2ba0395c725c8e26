package dev.oleander.web.release;

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
    public List<TextDiff.Line> lines() {
        return TextDiff.of(before.program(), after.program(), RevisionChanges::unnumbered);
    }

    private static String unnumbered(String line) {
        return NUMBER.matcher(line).replaceFirst("");
    }

    public Release before() {
        return before;
    }

    public Release after() {
        return after;
    }
}
