package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A task in which copies that share cuts are laid as one, and the way back from what was laid.
 * Copies that fill, or that a person has fixed, stay single.
 */
final class Clusters {

    /** mm and degrees within which parts lie as those of a cluster do. */
    private static final double SAME = 1e-3;

    private final NestTask task;
    private final Map<String, Cluster> byId = new HashMap<>();
    private final NestTask clustered;

    private Clusters(NestTask task, double kerf) {
        this.task = task;
        Map<String, Integer> locked = new HashMap<>();
        count(task.locked(), locked);
        Map<String, List<Cluster>> rows = new HashMap<>();
        for (OrderLine line : task.lines()) {
            int free = line.quantity() - locked.getOrDefault(line.id(), 0);
            if (!line.fill() && free > 1) {
                rows.put(line.id(), new ClusterMaker(task, line, kerf).along(free));
            }
        }
        rows.values().forEach(all -> all.forEach(c -> byId.put(c.id(), c)));
        List<NestedSheet> start = task.start().stream().map(s -> gathered(s, rows)).toList();
        this.clustered =
                new NestTask(lines(rows, locked, start), task.stock(), task.rules(), task.locked())
                        .from(start);
    }

    /** Empty when parts are not to share cuts, or none can. */
    static Optional<Clusters> of(NestTask task) {
        return task.rules()
                .commonLines()
                .map(kerf -> new Clusters(task, kerf))
                .filter(c -> !c.byId.isEmpty());
    }

    /** What is to be searched for. */
    NestTask task() {
        return clustered;
    }

    /** The same nest of parts. */
    Nest parts(Nest nest) {
        return new Nest(
                nest.sheets().stream().map(this::parts).toList(),
                nest.score(),
                nest.rounds(),
                nest.explored(),
                nest.tests());
    }

    private NestedSheet parts(NestedSheet sheet) {
        List<NestPlacement> all = new ArrayList<>();
        for (NestPlacement p : sheet.placements()) {
            Cluster cluster = byId.get(p.line());
            all.addAll(cluster == null ? List.of(p) : cluster.laid(p));
        }
        return sheet.with(all);
    }

    private static void count(List<NestedSheet> sheets, Map<String, Integer> into) {
        sheets.stream()
                .flatMap(s -> s.placements().stream())
                .forEach(p -> into.merge(p.line(), 1, Integer::sum));
    }

    private List<OrderLine> lines(
            Map<String, List<Cluster>> rows, Map<String, Integer> locked, List<NestedSheet> start) {
        Map<String, Integer> started = new HashMap<>();
        count(start, started);
        List<OrderLine> lines = new ArrayList<>();
        for (OrderLine line : task.lines()) {
            int kept = locked.getOrDefault(line.id(), 0) + started.getOrDefault(line.id(), 0);
            List<Cluster> sizes = rows.getOrDefault(line.id(), List.of());
            int free = line.quantity() - kept;
            for (Cluster size : sizes) {
                free -= size.size() * started.getOrDefault(size.id(), 0);
            }
            for (Cluster size : sizes) {
                int more = free / size.size();
                int many = started.getOrDefault(size.id(), 0) + more;
                if (many > 0) {
                    lines.add(size.ordered(many));
                    free -= more * size.size();
                }
            }
            int single = free + kept;
            if (single > 0) {
                lines.add(line.of(line.id(), line.shape(), single));
            }
        }
        return lines;
    }

    /** Parts that lie as those of a cluster do become one again. */
    private static NestedSheet gathered(NestedSheet sheet, Map<String, List<Cluster>> rows) {
        List<NestPlacement> left = new ArrayList<>(sheet.placements());
        List<NestPlacement> all = new ArrayList<>();
        while (!left.isEmpty()) {
            NestPlacement first = left.remove(0);
            Optional<NestPlacement> whole =
                    rows.getOrDefault(first.line(), List.of()).stream()
                            .flatMap(cluster -> whole(cluster, first, left).stream())
                            .findFirst();
            all.add(whole.orElse(first));
        }
        return sheet.with(all);
    }

    private static Optional<NestPlacement> whole(
            Cluster cluster, NestPlacement first, List<NestPlacement> others) {
        NestPlacement at = cluster.from(first);
        List<NestPlacement> found = new ArrayList<>();
        for (NestPlacement wanted : cluster.laid(at).subList(1, cluster.size())) {
            others.stream().filter(p -> isSame(p, wanted)).findFirst().ifPresent(found::add);
        }
        if (found.size() + 1 < cluster.size()) {
            return Optional.empty();
        }
        others.removeAll(found);
        return Optional.of(at);
    }

    private static boolean isSame(NestPlacement a, NestPlacement b) {
        double turn = Math.abs(a.angle() - b.angle()) % 360;
        Point off = a.at().minus(b.at());
        return a.line().equals(b.line())
                && a.mirrored() == b.mirrored()
                && Math.min(turn, 360 - turn) < SAME
                && Math.hypot(off.x(), off.y()) < SAME;
    }
}
