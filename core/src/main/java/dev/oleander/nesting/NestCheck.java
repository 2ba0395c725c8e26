package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionInside;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Judges a nest by true lines and arcs. It shares no code with the search, so that a slip there is
 * found here; nobody sees a nest that it refuses.
 */
public final class NestCheck {

    /** mm by which a distance may fall short: no machine repeats so well. */
    public static final double TOLERANCE = 1e-3;

    /** mm2 of common material below which parts only touch. */
    private static final double NOTHING = 1e-9;

    private final NestTask task;

    /** mm; the largest of all lines. */
    private final double widest;

    private final double margin;
    private final List<NestFault> faults = new ArrayList<>();

    private NestCheck(NestTask task) {
        this.task = task;
        this.widest = task.widestGap();
        this.margin = task.rules().margin();
    }

    /** Every rule that is broken; empty: the nest is legal. */
    public static List<NestFault> faults(NestTask task, List<NestedSheet> sheets) {
        NestCheck check = new NestCheck(task);
        for (int i = 0; i < sheets.size(); i++) {
            check.sheet(i + 1, sheets.get(i));
        }
        check.stretches(sheets);
        check.stock(sheets);
        check.quantities(sheets);
        check.locked(sheets);
        return List.copyOf(check.faults);
    }

    /** Whether the parts on a sheet keep all distances and lie as they may. */
    public static boolean isSound(NestTask task, NestedSheet sheet) {
        NestCheck check = new NestCheck(task);
        check.sheet(1, sheet);
        return check.faults.isEmpty();
    }

    /** A part where it lies. */
    private record Placed(String name, OrderLine line, Region region, SegmentIndex<Segment> edges) {

        Point corner() {
            return region.outer().segments().get(0).start();
        }
    }

    private void fault(String rule, double value, double limit, String sentence, Object... words) {
        faults.add(new NestFault(rule, String.format(Locale.ROOT, sentence, words), value, limit));
    }

    /**
     * Whether one more part keeps all distances to those on a sheet and to its edge.
     *
     * @param others what lies there already
     */
    public static Predicate<NestPlacement> fitting(NestTask task, NestedSheet others) {
        NestCheck laid = new NestCheck(task);
        SheetStock stock = task.sheet(others);
        List<Placed> there = others.placements().stream().map(p -> laid.placed(1, p)).toList();
        return p -> {
            NestCheck check = new NestCheck(task);
            Placed part = check.placed(1, p);
            check.way(part.name(), part.line(), p, stock);
            check.edge(part, stock);
            Box near = part.region().box().grown(check.widest);
            for (Placed other : there) {
                if (check.faults.isEmpty() && near.touches(other.region().box())) {
                    check.pair(other, part);
                }
            }
            return check.faults.isEmpty();
        };
    }

    private void sheet(int number, NestedSheet sheet) {
        SheetStock stock = task.sheet(sheet);
        List<Placed> placed = new ArrayList<>();
        for (NestPlacement p : sheet.placements()) {
            Placed part = placed(number, p);
            way(part.name(), part.line(), p, stock);
            edge(part, stock);
            placed.add(part);
        }
        pairs(placed);
        if (!placed.isEmpty() && placed.stream().allMatch(p -> p.line().fill())) {
            fault("fill", placed.size(), 0, "Sheet %d holds nothing but parts that fill.", number);
        }
    }

    private Placed placed(int number, NestPlacement p) {
        OrderLine line = task.line(p.line());
        Region region = line.shape().transformed(p.transform());
        String name =
                "%s on sheet %d at %.3f, %.3f".formatted(line.id(), number, p.at().x(), p.at().y());
        return new Placed(name, line, region, edges(region));
    }

    private static SegmentIndex<Segment> edges(Region region) {
        return SegmentIndex.of(
                region.contours().stream().flatMap(c -> c.segments().stream()).toList());
    }

    private void way(String name, OrderLine line, NestPlacement p, SheetStock stock) {
        double turn = p.angle() - stock.grainOrNone();
        if (!line.turns().allow(turn)) {
            fault(
                    "turn",
                    p.angle(),
                    line.turns().step(),
                    "%s is turned by %.6f degrees.",
                    name,
                    p.angle());
        }
        if (p.mirrored() && !line.mirror()) {
            fault("mirror", 1, 0, "%s lies on its other side.", name);
        }
    }

    private void edge(Placed part, SheetStock stock) {
        Region sheet = stock.region();
        if (margin <= TOLERANCE) {
            for (Region thin : Offsetter.round().offset(part.region(), -TOLERANCE / 2)) {
                double out =
                        Overlay.difference(List.of(thin), List.of(sheet)).stream()
                                .mapToDouble(Region::area)
                                .sum();
                if (out > NOTHING) {
                    fault(
                            "edge",
                            out,
                            0,
                            "%s reaches over the edge by %.6f mm2.",
                            part.name(),
                            out);
                }
            }
            return;
        }
        double nearest = nearest(part, edges(sheet), sheet, margin);
        if (nearest < margin - TOLERANCE) {
            fault(
                    "edge",
                    nearest,
                    margin,
                    "%s comes within %.4f mm of the edge; %s are needed.",
                    part.name(),
                    nearest,
                    margin);
        } else if (!sheet.contains(part.corner()) || holds(part.region(), sheet.openings())) {
            fault("edge", 0, margin, "%s does not lie on the sheet.", part.name());
        }
    }

    private static boolean holds(Region region, List<Contour> holes) {
        return holes.stream().anyMatch(h -> region.contains(h.segments().get(0).start()));
    }

    private void pairs(List<Placed> placed) {
        SegmentIndex<Box> boxes =
                SegmentIndex.ofBoxes(placed.stream().map(p -> p.region().box()).toList());
        for (int i = 0; i < placed.size(); i++) {
            for (int j : boxes.positions(placed.get(i).region().box().grown(widest))) {
                if (j < i) {
                    pair(placed.get(j), placed.get(i));
                }
            }
        }
    }

    private void pair(Placed a, Placed b) {
        double gap = (task.gap(a.line()) + task.gap(b.line())) / 2;
        if (gap <= TOLERANCE) {
            touching(a, b);
            return;
        }
        double nearest = nearest(a, b.edges(), b.region(), gap);
        if (nearest < gap - TOLERANCE && !sharesCut(a, b, nearest)) {
            fault(
                    "gap",
                    nearest,
                    gap,
                    "%s and %s come within %.4f mm; %s are needed.",
                    a.name(),
                    b.name(),
                    nearest,
                    gap);
        } else if (within(a, b.region()) || within(b, a.region())) {
            fault("overlap", 0, gap, "One of %s and %s lies in the other.", a.name(), b.name());
        } else if (!task.rules().inOpenings() && (within(a, hull(b)) || within(b, hull(a)))) {
            fault(
                    "opening",
                    0,
                    0,
                    "One of %s and %s lies in an opening of the other.",
                    a.name(),
                    b.name());
        }
    }

    /** Whether they lie a kerf apart along straight edges of one length, and nowhere closer. */
    private boolean sharesCut(Placed a, Placed b, double nearest) {
        return task.rules()
                .commonLines()
                .filter(kerf -> nearest >= kerf - TOLERANCE)
                .filter(kerf -> lines(a).anyMatch(edge -> hasParallel(b, edge, kerf)))
                .isPresent();
    }

    private static Stream<Segment> lines(Placed of) {
        return of.region().outer().segments().stream().filter(s -> s instanceof Line);
    }

    private static boolean hasParallel(Placed of, Segment edge, double kerf) {
        Box near = edge.box().grown(kerf + TOLERANCE);
        return near.touches(of.region().box())
                && lines(of).anyMatch(other -> areAcross(edge, other, kerf));
    }

    /** Whether a cut between them would have both as its sides, from end to end. */
    private static boolean areAcross(Segment a, Segment b, double kerf) {
        double from = a.start().distance(b.end());
        double to = a.end().distance(b.start());
        Point along = a.end().minus(a.start());
        Point across = b.end().minus(a.start());
        double skew = (along.x() * across.x() + along.y() * across.y()) / a.length();
        return Math.abs(from - kerf) <= TOLERANCE
                && Math.abs(to - kerf) <= TOLERANCE
                && Math.abs(skew) <= TOLERANCE
                && Math.abs(a.length() - b.length()) <= TOLERANCE;
    }

    private void touching(Placed a, Placed b) {
        Offsetter thin = Offsetter.round();
        double both =
                Overlay.intersection(
                                thin.offset(a.region(), -TOLERANCE / 2),
                                thin.offset(b.region(), -TOLERANCE / 2))
                        .stream()
                        .mapToDouble(Region::area)
                        .sum();
        if (both > NOTHING) {
            fault("overlap", both, 0, "%s and %s overlap by %.6f mm2.", a.name(), b.name(), both);
        }
    }

    private static Region hull(Placed part) {
        return new Region(part.region().outer(), List.of());
    }

    private static boolean within(Placed part, Region region) {
        return region.box().contains(part.corner())
                && new RegionInside(region).contains(part.corner());
    }

    /** Least distance of edges, as far as it is less than a limit. */
    private static double nearest(
            Placed part, SegmentIndex<Segment> others, Region of, double limit) {
        double nearest = limit;
        Box box = of.box().grown(limit);
        for (Segment edge : part.edges().touching(box)) {
            for (Segment other : others.touching(edge.box().grown(nearest))) {
                nearest = Math.min(nearest, Distances.between(edge, other).distance());
            }
        }
        return nearest;
    }

    /** Heads stand as they are set, and stretches of a sheet lie side by side. */
    private void stretches(List<NestedSheet> sheets) {
        int number = 0;
        for (NestedSheet sheet : sheets) {
            number++;
            if (sheet.heads() > 1) {
                heads(number, sheet);
            }
        }
        if (!Sheets.joined(sheets).equals(sheets)) {
            fault("stretch", 0, 0, "A sheet is used from or to where nothing else of it is.");
        }
    }

    private void heads(int number, NestedSheet sheet) {
        int set = task.rules().heads().map(Heads::count).orElse(1);
        double pitch =
                task.rules()
                        .heads()
                        .flatMap(h -> h.pitchOn(task.sheet(sheet.stock()), task.rules()))
                        .orElse(0.0);
        if (sheet.heads() != set || Math.abs(sheet.part().pitch() - pitch) > TOLERANCE) {
            fault(
                    "heads",
                    sheet.heads(),
                    set,
                    "Sheet %d is laid for %d heads at %.3f mm; it can be cut by %d at %.3f mm.",
                    number,
                    sheet.heads(),
                    sheet.part().pitch(),
                    pitch == 0 ? 1 : set,
                    pitch);
        }
    }

    private void stock(List<NestedSheet> sheets) {
        Map<String, Long> used = Sheets.used(sheets);
        for (SheetStock stock : task.stock()) {
            long n = used.getOrDefault(stock.id(), 0L);
            if (stock.count().isPresent() && n > stock.count().get()) {
                fault(
                        "stock",
                        n,
                        stock.count().get(),
                        "%d sheets of %s are used; there are %d.",
                        n,
                        stock.id(),
                        stock.count().get());
            }
        }
    }

    private void quantities(List<NestedSheet> sheets) {
        Map<String, Integer> placed = new HashMap<>();
        for (NestedSheet sheet : sheets) {
            sheet.placements().forEach(p -> placed.merge(p.line(), sheet.heads(), Integer::sum));
        }
        for (OrderLine line : task.lines()) {
            int n = placed.getOrDefault(line.id(), 0);
            if (n > line.quantity()) {
                fault(
                        "quantity",
                        n,
                        line.quantity(),
                        "%d of %s lie on sheets; %d are wanted.",
                        n,
                        line.id(),
                        line.quantity());
            } else if (n < line.quantity() && !line.fill()) {
                passedOver(line, placed);
            }
        }
    }

    /** A part is missing while the same shape of less importance has found place. */
    private void passedOver(OrderLine line, Map<String, Integer> placed) {
        for (OrderLine other : task.lines()) {
            boolean later = other.fill() || other.priority() > line.priority();
            if (later && placed.getOrDefault(other.id(), 0) > 0 && line.mayReplace(other)) {
                fault(
                        "priority",
                        other.priority(),
                        line.priority(),
                        "%s is missing while the same shape of %s, which may wait, lies on a sheet.",
                        line.id(),
                        other.id());
            }
        }
    }

    private void locked(List<NestedSheet> sheets) {
        for (NestedSheet wanted : task.locked()) {
            for (NestPlacement p : wanted.placements()) {
                boolean there =
                        sheets.stream()
                                .filter(s -> s.stock().equals(wanted.stock()))
                                .filter(s -> s.heads() == wanted.heads())
                                .flatMap(s -> s.placements().stream())
                                .anyMatch(q -> q.equals(p));
                if (!there) {
                    fault(
                            "locked",
                            0,
                            0,
                            "%s at %s was locked and does not lie there.",
                            p.line(),
                            p.at());
                }
            }
        }
    }
}
