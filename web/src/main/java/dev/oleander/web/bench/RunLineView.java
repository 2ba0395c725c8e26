package dev.oleander.web.bench;

import dev.oleander.motion.Item;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Plan;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The run line: stops in cutting order, those that belong together and follow each other grouped.
 *
 * @param grouped whether there is more than one group, so that groups show
 * @param folded whether groups start folded, their stops fetched when they are opened
 * @param parts what several copies have in common; empty when nothing is cut more than once
 */
public record RunLineView(
        List<Group> groups,
        int stops,
        String duration,
        boolean grouped,
        boolean folded,
        List<CopiedPart> parts) {

    /** Above this many stops groups start folded, which keeps the page light. */
    private static final int MOST_UNFOLDED = 240;

    /** Groups that come with the page when they are folded; the others follow the picture. */
    private static final int EARLY = 40;

    /** A part that is cut several times: its features once, each for all copies. */
    public record CopiedPart(String title, int copies, String duration, List<Alike> features) {}

    /**
     * The same feature on all copies.
     *
     * @param ids of its stops
     * @param flag severity of the worst finding of any of them
     * @param selected whether all of them are
     */
    public record Alike(String name, List<String> ids, String note, String flag, boolean selected) {

        public String all() {
            return String.join(",", ids);
        }

        public int count() {
            return ids.size();
        }
    }

    /** Whether groups are closed when the page comes: what copies have in common is told above. */
    public boolean isClosed() {
        return folded || !parts.isEmpty();
    }

    /** Stops of one part and copy that follow each other. */
    public record Group(
            int index,
            String title,
            int count,
            String duration,
            boolean flagged,
            boolean selected,
            List<Row> rows) {

        public String ids() {
            return String.join(",", rows.stream().map(Row::id).toList());
        }
    }

    /**
     * One stop.
     *
     * @param flag severity of its worst finding in words; empty when there is none
     * @param band what the machine holds meanwhile; null: nothing is changed between stops
     */
    public record Row(
            String id,
            int number,
            String name,
            String note,
            boolean refused,
            double seconds,
            double begins,
            int passes,
            String flag,
            boolean selected,
            Band band) {

        /** In words, for those rows only that are shown. */
        public String duration() {
            return refused ? "–" : Numbers.duration(seconds);
        }
    }

    /**
     * What a machine holds.
     *
     * @param mark a letter or a number
     * @param begins whether it is changed for this stop
     * @param odd whether it is changed an odd number of times before
     * @param tells in words
     */
    public record Band(String mark, boolean begins, boolean odd, String tells) {}

    /** The groups that come with the page: the first ones, and up to those that are selected. */
    public List<Group> early() {
        if (!folded) {
            return groups;
        }
        int count = EARLY;
        for (Group group : groups) {
            if (group.selected()) {
                count = Math.max(count, group.index() + 1);
            }
        }
        return groups.subList(0, Math.min(count, groups.size()));
    }

    /** Whether there are more groups than come with the page. */
    public boolean isLonger() {
        return early().size() < groups.size();
    }

    /** The groups from one on; none when there are fewer. */
    List<Group> from(int index) {
        return groups.subList(Math.min(index, groups.size()), groups.size());
    }

    static RunLineView of(JobResult result, Set<String> selected) {
        Map<String, Severity> worst = worst(result);
        Map<String, Double> begins = begins(result);
        Map<String, Band> bands = bands(result);
        List<Group> groups = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        List<Stop> stops = result.run().stops();
        String title = "";
        for (Stop stop : stops) {
            String own = title(stop, result);
            if (!own.equals(title) && !rows.isEmpty()) {
                groups.add(group(groups.size(), title, rows));
                rows = new ArrayList<>();
            }
            title = own;
            rows.add(row(stop, result, worst, begins, selected, bands.get(stop.id())));
        }
        if (!rows.isEmpty()) {
            groups.add(group(groups.size(), title, rows));
        }
        List<CopiedPart> parts = new CopiedParts(result, worst, selected).all();
        boolean grouped = groups.size() > 1 || !parts.isEmpty();
        return new RunLineView(
                groups,
                stops.size(),
                Numbers.duration(result.timeline().total()),
                grouped,
                grouped && stops.size() > MOST_UNFOLDED,
                parts);
    }

    /** Stops of one part and copy belong together, or those that run without people. */
    private static String title(Stop stop, JobResult result) {
        if (result.plan().runsAlone()) {
            return waits(stop, result) ? "Needs people" : "Runs alone";
        }
        String part = stop.part().isEmpty() ? "Loose lines" : PartRef.label(stop.part());
        return part + ", copy " + stop.copy();
    }

    private static boolean waits(Stop stop, JobResult result) {
        boolean asked = result.run().eventsOf(stop).stream().anyMatch(e -> e.kind().isForPeople());
        return asked || result.plan().waits(stop);
    }

    private static Group group(int index, String title, List<Row> rows) {
        return new Group(
                index,
                title,
                rows.size(),
                Numbers.duration(rows.stream().mapToDouble(Row::seconds).sum()),
                rows.stream().anyMatch(r -> !r.flag().isEmpty()),
                rows.stream().anyMatch(Row::selected),
                List.copyOf(rows));
    }

    private static Row row(
            Stop stop,
            JobResult result,
            Map<String, Severity> worst,
            Map<String, Double> begins,
            Set<String> selected,
            Band band) {
        double seconds = result.timeline().byStop().getOrDefault(stop.id(), Seconds.NONE).total();
        String flag = worst.containsKey(stop.id()) ? worst.get(stop.id()).word() : "";
        return new Row(
                stop.id(),
                stop.number(),
                stop.name(),
                note(stop, result),
                stop.refusal().isPresent(),
                seconds,
                begins.getOrDefault(stop.id(), 0.0),
                stop.passes().size(),
                flag,
                selected.contains(stop.id()),
                band);
    }

    /** By id of a stop. */
    private static Map<String, Band> bands(JobResult result) {
        Map<String, Band> bands = new HashMap<>();
        String before = "";
        boolean odd = true;
        for (Stop stop : result.run().stops()) {
            Plan.Held held = result.plan().held(stop).orElse(null);
            if (held != null) {
                boolean other = !held.mark().equals(before);
                odd = other != odd;
                before = held.mark();
                bands.put(stop.id(), new Band(held.mark(), other, odd, told(held)));
            }
        }
        return bands;
    }

    private static String told(Plan.Held held) {
        String used = Numbers.plain(held.used() / 1000, 1) + " m";
        return held.life() > 0
                ? "%s: %s of %s m"
                        .formatted(held.name(), used, Numbers.plain(held.life() / 1000, 0))
                : "%s: %s".formatted(held.name(), used);
    }

    static String note(Stop stop, JobResult result) {
        if (stop.refusal().isPresent()) {
            return "not cut";
        }
        if (result.document().shape().revision().stale().contains(stop.feature())) {
            return "stale";
        }
        if (stop.kind() == Stop.Kind.MARK) {
            return "mark";
        }
        if (waits(stop, result)) {
            return "waits";
        }
        return result.runChoices().pins().stream().anyMatch(p -> p.contains(stop.id()))
                ? "pinned"
                : "";
    }

    private static Map<String, Severity> worst(JobResult result) {
        Map<String, Severity> worst = new HashMap<>();
        for (Finding finding : result.findings()) {
            if (finding.blocks()) {
                for (String stop : finding.alike()) {
                    worst.merge(stop, finding.severity(), (a, b) -> a.compareTo(b) < 0 ? a : b);
                }
            }
        }
        return worst;
    }

    private static Map<String, Double> begins(JobResult result) {
        Map<String, Double> begins = new HashMap<>();
        Timeline timeline = result.timeline();
        double[] ends = timeline.ends();
        List<Item> items = timeline.program().items();
        String before = null;
        for (int i = 0; i < ends.length; i++) {
            String stop = items.get(i).origin().stop();
            if (!stop.equals(before)) {
                begins.putIfAbsent(stop, i == 0 ? 0 : ends[i - 1]);
                before = stop;
            }
        }
        return begins;
    }
}
