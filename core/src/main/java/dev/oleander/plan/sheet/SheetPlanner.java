package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.DrillHole;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.Placement;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Run;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.SheetLayout;
import dev.oleander.plan.SmallHoles;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Plans a sheet from a reading: places copies, makes the path of every feature, orders the stops.
 */
public final class SheetPlanner {

    /** mm between copies when the cut book has no data to say what leads need. */
    private static final double GAP_WITHOUT_DATA = 10;

    /** Stops up to which the order is made again when it is known where the leads lie. */
    private static final int MOST_ORDERED_TWICE = 3_000;

    private final Machine machine;
    private final CutBook book;

    public SheetPlanner(Machine machine, CutBook book) {
        this.machine = machine;
        this.book = book;
    }

    /** What the job asks for; thickness in mm. */
    public record Order(String material, double thickness, int quantity) {}

    private record CutKey(String feature, StopChoice choice, Turn turn) {}

    /**
     * The whole run. Stops that cannot be cut carry their refusal.
     *
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    public Run plan(Reading reading, Order order, PlanChoices choices, SheetChoices sheet) {
        return plan(reading, order, choices, sheet, Progress.NONE);
    }

    /** The same, telling how far it is. */
    public Run plan(
            Reading reading,
            Order order,
            PlanChoices choices,
            SheetChoices sheet,
            Progress progress) {
        return new Work(reading, order, choices, sheet).run(progress);
    }

    private final class Work {
        private final Reading reading;
        private final PlanChoices choices;
        private final SheetLayout layout;
        private final FeatureCutter cutter;
        private final KeptField kept;
        private final double thickness;
        private final Map<CutKey, Cut> cuts = new HashMap<>();
        private final Map<String, Slot> slots = new HashMap<>();
        private final List<DrillHole> drilled = new ArrayList<>();

        Work(Reading reading, Order order, PlanChoices choices, SheetChoices sheet) {
            this.reading = reading;
            this.choices = choices;
            this.layout =
                    new LayoutPlanner(sheet, defaultGap(order, choices.quality()))
                            .lay(reading.workBox(), order.quantity());
            this.kept = new KeptField(reading.parts());
            this.thickness = order.thickness();
            this.cutter =
                    new FeatureCutter(
                            book,
                            order.material(),
                            order.thickness(),
                            new FeatureCutter.Ways(choices, machine.habits().tabs()),
                            kept);
        }

        Run run(Progress progress) {
            List<Stop> alone = alone(progress.within(0, 0.2));
            List<Stop> planned = planned(alone, choices.order(), progress.within(0.2, 0.8));
            boolean few = alone.size() <= MOST_ORDERED_TWICE;
            if (few && choices.order() == OrderRule.SHORTEST) {
                // heads that stay down on some ways only make the search miss this one at times
                List<Stop> other = planned(alone, OrderRule.PART_BY_PART, progress.within(0.8, 1));
                planned = travelSeconds(other) < travelSeconds(planned) ? other : planned;
            }
            return new Run(machine, choices.order(), layout, planned, drilled);
        }

        private List<Stop> planned(List<Stop> alone, OrderRule rule, Progress progress) {
            List<Stop> ordered = order(alone, rule, progress.within(0, 0.5));
            if (alone.size() <= MOST_ORDERED_TWICE) {
                // leads that lie towards their neighbours make another order the quickest
                List<Stop> shifted = placed(ordered, Slot::byRule, progress.within(0.5, 0.6));
                ordered = order(shifted, rule, progress.within(0.6, 0.7));
            }
            List<Stop> placed = placed(ordered, Slot::chosen, progress.within(0.7, 1));
            return new HeadTravel(machine.habits().lowTravel()).decide(placed);
        }

        private double travelSeconds(List<Stop> stops) {
            double lift = machine.motion().liftSeconds() + machine.motion().lowerSeconds();
            TravelTime way =
                    new TravelTime(travelTime().speed(), travelTime().acceleration(), 0, 0);
            double sum = 0;
            Point at = Point.ORIGIN;
            for (Stop stop : stops) {
                if (stop.path().isPresent()) {
                    sum += way.over(at.distance(stop.path().get().pierce()));
                    sum += stop.comesLow() ? 0 : lift;
                    at = stop.path().get().end();
                }
            }
            return sum;
        }

        private List<Stop> order(List<Stop> stops, OrderRule rule, Progress progress) {
            return new Sequencer(new Precedence(reading.byId()), travelTime(), heat())
                    .order(stops, rule, choices.sequence(), progress);
        }

        private Heat heat() {
            Machine.HeatRule rule = machine.habits().heat();
            return thickness >= rule.fromThickness()
                    ? new Heat(rule.distance(), rule.seconds(), rule.cost())
                    : Heat.NONE;
        }

        /**
         * Stops with the leads they have in the drawing alone. The order follows from them, so that
         * setting a lead by hand does not shuffle the others.
         */
        private List<Stop> alone(Progress progress) {
            List<Feature> worked =
                    reading.features().stream().filter(SheetPlanner::isWorked).toList();
            double total = (double) worked.size() * layout.placements().size();
            List<Stop> stops = new ArrayList<>();
            for (Placement placement : layout.placements()) {
                for (Feature feature : worked) {
                    StopChoice choice = choices.of(feature.id(), placement.copy());
                    boolean drills = cutter.isDrilled(feature, choice);
                    if (drills) {
                        drilled.add(drillHole(feature, placement));
                    }
                    if (!drills || choices.smallHoles() != SmallHoles.DRILL) {
                        stops.add(alone(feature, choice, placement));
                        progress.at(stops.size() / total, "Making the paths");
                    }
                }
            }
            return stops;
        }

        private Stop alone(Feature feature, StopChoice choice, Placement placement) {
            Turn turn = placement.transform().isMirrored() ? Turn.SCRAP_RIGHT : Turn.SCRAP_LEFT;
            Cut chosen = cut(feature, choice, turn);
            Cut byRule = cut(feature, choice.ofPath(), turn);
            Stop stop = byRule.alone().at(placement);
            slots.put(stop.id(), new Slot(placement, chosen, byRule, stop));
            return stop;
        }

        private Cut cut(Feature feature, StopChoice choice, Turn turn) {
            return cuts.computeIfAbsent(
                    new CutKey(feature.id(), choice, turn),
                    key -> new Cut(cutter.draft(feature, choice, turn), kept));
        }

        /** Every stop with its lead as it fits on the sheet. */
        private List<Stop> placed(
                List<Stop> ordered, Function<Slot, Cut> which, Progress progress) {
            SheetField field =
                    new SheetField(layout.stock(), reading.parts(), layout.placements(), ordered);
            List<Stop> placed = new ArrayList<>(ordered.size());
            Point from = Point.ORIGIN;
            for (Stop stop : ordered) {
                progress.at((double) placed.size() / ordered.size(), "Placing leads");
                Slot slot = slots.get(stop.id());
                Point to = beginOfNext(ordered, placed.size()).orElse(from);
                Surroundings around =
                        field.around(
                                stop.number(),
                                slot.placement(),
                                from,
                                to,
                                machine.habits().slatPitch());
                Stop begun = slot.place(which.apply(slot), around).numbered(stop.number());
                field.addLeads(begun);
                placed.add(begun);
                from = stop.path().map(CutPath::end).orElse(from);
            }
            return placed;
        }

        private static Optional<Point> beginOfNext(List<Stop> ordered, int index) {
            return index + 1 < ordered.size()
                    ? ordered.get(index + 1).path().map(CutPath::pierce)
                    : Optional.empty();
        }
    }

    /**
     * A stop's place.
     *
     * @param chosen how it is cut there
     * @param byRule the same without what a person set of its leads
     * @param alone the stop by rule, as it is in the drawing
     */
    private record Slot(Placement placement, Cut chosen, Cut byRule, Stop alone) {

        Stop place(Cut cut, Surroundings around) {
            Stop placed = cut.placed(around);
            boolean same = cut == byRule && placed == cut.alone();
            return same ? alone : placed.at(placement);
        }
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

    private TravelTime travelTime() {
        Machine.Motion motion = machine.motion();
        return new TravelTime(
                motion.rapid() / 60,
                motion.acceleration(),
                motion.liftSeconds() + motion.lowerSeconds(),
                machine.habits().lowTravel());
    }

    private double defaultGap(Order order, String quality) {
        try {
            return HouseRecipe.gap(book.find(order.material(), order.thickness(), quality));
        } catch (CutDataException noData) {
            return GAP_WITHOUT_DATA;
        }
    }
}
