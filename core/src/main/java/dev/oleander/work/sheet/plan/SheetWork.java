package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.DrillHole;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Beside;
import dev.oleander.progress.Progress;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.SmallHoles;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.CommonLines;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.cut.SmallHoleRule;
import dev.oleander.work.sheet.lead.SheetField;
import dev.oleander.work.sheet.order.HeadTravel;
import dev.oleander.work.sheet.order.Precedence;
import dev.oleander.work.sheet.order.Sequencer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes one plan from the beginning: layout, paths, order, leads. */
final class SheetWork {

    /** Stops up to which the order is made again when it is known where the leads lie. */
    private static final int MOST_ORDERED_TWICE = 3_000;

    /** Stops up to which that is done some times, and the quickest order kept. */
    private static final int MOST_ORDERED_OFTEN = 300;

    private static final int TIMES = 5;

    /** Features whose cuts are made side by side. */
    private static final int CHUNK = 500;

    private final SheetTask task;
    private final PlanChoices choices;
    private final SheetLayout layout;
    private final CutLibrary cuts;
    private final Map<String, Slot> slots = new HashMap<>();
    private final List<DrillHole> drilled = new ArrayList<>();

    /** Once the stops are known: what their leads stay clear of. */
    private SheetField sheet;

    /**
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    SheetWork(SheetTask task) {
        this.task = task;
        this.choices = task.choices();
        this.layout = task.layout(SheetSpacing.of(task.whole()).gap(), kerfForCommonLines(task));
        this.cuts = new CutLibrary(task);
    }

    /** mm between copies that share lines; empty when they are not to. */
    private static Optional<Double> kerfForCommonLines(SheetTask task) {
        return task.sheet().sharesLines()
                ? SheetSpacing.row(task.whole(), task.choices()).map(CutRow::kerf)
                : Optional.empty();
    }

    SheetPlan plan(Progress progress) {
        List<Stop> alone = alone(progress.within(0, 0.2));
        sheet = new SheetField(layout, task.reading().parts(), alone);
        boolean few = alone.size() <= MOST_ORDERED_TWICE;
        Progress rest = progress.within(0.2, 1);
        return few && choices.order() == OrderRule.SHORTEST
                ? quicker(alone, rest)
                : planned(alone, choices.order(), rest);
    }

    /** Heads that stay down on some ways only make the search miss the better one at times. */
    private SheetPlan quicker(List<Stop> alone, Progress progress) {
        try (Beside<SheetPlan> byPart =
                Beside.begin(own -> planned(alone, OrderRule.PART_BY_PART, own))) {
            SheetPlan shortest = planned(alone, OrderRule.SHORTEST, progress);
            SheetPlan other = byPart.get();
            return cost(other.run().stops()) < cost(shortest.run().stops()) ? other : shortest;
        }
    }

    /**
     * Stops with the leads they have in the drawing alone. The order follows from them, so that
     * setting a lead by hand does not shuffle the others.
     */
    private List<Stop> alone(Progress progress) {
        List<Feature> worked =
                task.reading().features().stream().filter(SheetWork::isWorked).toList();
        makeCuts(worked, progress.within(0, 0.8));
        double total = (double) worked.size() * layout.placements().size();
        List<Stop> stops = new ArrayList<>();
        for (Placement placement : layout.placements()) {
            for (Feature feature : worked) {
                if (!placement.of().holds(feature)) {
                    continue;
                }
                PlanChoices choices = task.choices(feature);
                StopChoice choice = choices.of(feature.id(), placement.copy());
                boolean drills = cuts.isDrilled(feature, choice);
                if (drills) {
                    drilled.add(drillHole(feature, placement));
                }
                if (!drills || choices.smallHoles() != SmallHoles.DRILL) {
                    Slot slot = Slot.of(feature, placement, choice, cuts);
                    slots.put(slot.alone().id(), slot);
                    stops.add(slot.alone());
                    progress.at(0.8 + 0.2 * stops.size() / total, "Making the paths");
                }
            }
        }
        return stops;
    }

    /** Makes the cuts of many features on all processors; which one comes when does not matter. */
    private void makeCuts(List<Feature> worked, Progress progress) {
        if (worked.size() < CHUNK || layout.placements().isEmpty()) {
            return;
        }
        for (int from = 0; from < worked.size(); from += CHUNK) {
            progress.at((double) from / worked.size(), "Making the paths");
            worked.subList(from, Math.min(worked.size(), from + CHUNK)).parallelStream()
                    .forEach(
                            f ->
                                    layout.placements().stream()
                                            .filter(p -> p.of().holds(f))
                                            .findFirst()
                                            .ifPresent(p -> makeCut(f, p)));
        }
    }

    private void makeCut(Feature feature, Placement first) {
        StopChoice choice = task.choices(feature).of(feature.id(), first.copy());
        cuts.cut(feature, choice.ofPath(), first).alone();
    }

    private static DrillHole drillHole(Feature hole, Placement placement) {
        return new DrillHole(
                hole.id(),
                placement.copy(),
                placement.transform().apply(SmallHoleRule.centre(hole)),
                hole.circleDiameter().orElseThrow());
    }

    /** Open lines are cut only when someone said so; a gap in an outline is not a cut. */
    private static boolean isWorked(Feature feature) {
        return feature.purpose() == Purpose.MARK
                || (feature.purpose() == Purpose.CUT
                        && (feature.isClosed() || feature.onPurpose()));
    }

    private SheetPlan planned(List<Stop> alone, OrderRule rule, Progress progress) {
        List<Stop> ordered = order(alone, rule, progress.within(0, 0.4));
        if (alone.size() <= MOST_ORDERED_OFTEN) {
            ordered = quickest(ordered, rule, progress.within(0.4, 0.7));
        } else if (alone.size() <= MOST_ORDERED_TWICE) {
            List<Stop> shifted = shifted(ordered, progress.within(0.4, 0.5));
            ordered = order(shifted, rule, progress.within(0.5, 0.7));
        }
        SheetField field = sheet.inOrder(ordered);
        List<Slot> inOrder = sharing(ordered);
        List<Stop> placed =
                pass(ordered, field).all(inOrder, Slot::chosen, progress.within(0.7, 1));
        HeadTravel travel = travel(ordered);
        List<Stop> stops = travel.decide(placed);
        Run run =
                new Run(
                        task.machine(),
                        choices.order(),
                        layout,
                        stops,
                        task.eventsOf(stops),
                        drilled);
        PlanFrame frame = new PlanFrame(cuts, ordered, travel);
        return new SheetPlan(task, frame, inOrder, field, run);
    }

    /**
     * Orders by turns the stops and shifts their leads towards their neighbours, until an order
     * comes again.
     */
    private List<Stop> quickest(List<Stop> first, OrderRule rule, Progress progress) {
        List<Stop> ordered = first;
        List<Stop> best = first;
        double least = Double.POSITIVE_INFINITY;
        Set<List<Stop>> seen = new HashSet<>();
        for (int time = 0; time < TIMES && seen.add(ordered); time++) {
            Progress own = progress.within((double) time / TIMES, (time + 1.0) / TIMES);
            List<Stop> shifted = shifted(ordered, own.within(0, 0.5));
            double seconds = cost(travel(ordered).decide(shifted));
            if (seconds < least) {
                least = seconds;
                best = ordered;
            }
            if (time + 1 < TIMES) {
                ordered =
                        sequencer()
                                .again(shifted, rule, choices.run().sequence(), own.within(0.5, 1));
            }
        }
        return best;
    }

    /** Stops of an order with their leads as they lie by rule on the sheet. */
    private List<Stop> shifted(List<Stop> ordered, Progress progress) {
        return pass(ordered, sheet.inOrder(ordered))
                .all(inOrder(ordered), Slot::byRule, progress)
                .stream()
                .map(this::withPath)
                .toList();
    }

    private HeadTravel travel(List<Stop> ordered) {
        double radius = task.machine().head().radius();
        List<Box> keepOut = layout.keepOut().stream().map(k -> k.box().grown(radius)).toList();
        return new HeadTravel(task.travelTime(), layout.stock(), ordered, keepOut);
    }

    /** A stop that is refused by rule may find room where a person sets it. */
    private Stop withPath(Stop byRule) {
        return byRule.path().isPresent() ? byRule : slots.get(byRule.id()).alone();
    }

    private List<Slot> inOrder(List<Stop> ordered) {
        return ordered.stream().map(s -> slots.get(s.id())).toList();
    }

    /** The slots in order, each with the common lines that an earlier one cuts. */
    private List<Slot> sharing(List<Stop> ordered) {
        List<List<CommonLines.Shared>> shared = new CommonLines(ordered).ofStops(ordered.size());
        List<Slot> inOrder = new ArrayList<>(ordered.size());
        for (Slot slot : inOrder(ordered)) {
            inOrder.add(slot.sharing(shared.get(inOrder.size())));
        }
        return inOrder;
    }

    private LeadPass pass(List<Stop> ordered, SheetField field) {
        return new LeadPass(ordered, field, task.machine().habits().slatPitch());
    }

    private List<Stop> order(List<Stop> stops, OrderRule rule, Progress progress) {
        return sequencer().order(stops, rule, choices.run().sequence(), progress);
    }

    private Sequencer sequencer() {
        return new Sequencer(
                new Precedence(task.reading().byId()),
                task.costs(layout.stock()),
                choices.run().pins());
    }

    /** Seconds between the stops, and what weakening the sheet too early counts as. */
    private double cost(List<Stop> stops) {
        return travelSeconds(stops) + task.costs(layout.stock()).loosening().ofOrder(stops);
    }

    private double travelSeconds(List<Stop> stops) {
        TravelTime travel = task.travelTime();
        double sum = 0;
        Point at = Point.ORIGIN;
        for (Stop stop : stops) {
            if (stop.path().isPresent()) {
                List<Point> way = SheetCut.of(stop).approach().way(at, stop.path().get().pierce());
                sum +=
                        travel.along(way)
                                + (SheetCut.of(stop).approach().low() ? 0 : travel.fixed());
                at = SheetCut.end(stop);
            }
        }
        return sum;
    }
}
