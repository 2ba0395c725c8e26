package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.plan.DrillHole;
import dev.oleander.plan.Placement;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Run;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.SheetLayout;
import dev.oleander.plan.SmallHoles;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Plans a sheet from a reading: places copies, makes the path of every feature, orders the stops.
 */
public final class SheetPlanner {

    /** mm between copies when the cut book has no data to say what leads need. */
    private static final double GAP_WITHOUT_DATA = 10;

    /** How much of the time goes by before the stops are ordered. */
    private static final double SHARE_OF_CUTS = 0.5;

    private final Machine machine;
    private final CutBook book;

    public SheetPlanner(Machine machine, CutBook book) {
        this.machine = machine;
        this.book = book;
    }

    /** What the job asks for; thickness in mm. */
    public record Order(String material, double thickness, int quantity) {}

    private record CutKey(String feature, StopChoice choice) {}

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
        SheetLayout layout =
                new LayoutPlanner(sheet, defaultGap(order, choices.quality()))
                        .lay(reading.workBox(), order.quantity());
        FeatureCutter cutter =
                new FeatureCutter(
                        book,
                        order.material(),
                        order.thickness(),
                        new FeatureCutter.Ways(choices.quality(), choices.smallHoles()),
                        new KeptField(reading.parts()));
        List<Feature> worked = reading.features().stream().filter(SheetPlanner::isWorked).toList();
        double total = (double) worked.size() * layout.placements().size();
        Map<CutKey, Stop> cuts = new HashMap<>();
        List<Stop> stops = new ArrayList<>();
        List<DrillHole> drilled = new ArrayList<>();
        for (Placement placement : layout.placements()) {
            for (Feature feature : worked) {
                StopChoice choice = choices.of(feature.id(), placement.copy());
                boolean drills = cutter.isDrilled(feature, choice);
                if (drills) {
                    drilled.add(drillHole(feature, placement));
                }
                if (drills && choices.smallHoles() == SmallHoles.DRILL) {
                    continue;
                }
                Stop cut =
                        cuts.computeIfAbsent(
                                new CutKey(feature.id(), choice),
                                key -> cutter.cut(feature, choice));
                stops.add(cut.at(placement));
                progress.at(SHARE_OF_CUTS * stops.size() / total, "Placing leads");
            }
        }
        Sequencer sequencer = new Sequencer(new Precedence(reading.byId()), travelTime());
        List<Stop> ordered =
                sequencer.order(
                        stops,
                        choices.order(),
                        choices.sequence(),
                        progress.within(SHARE_OF_CUTS, 1));
        return new Run(machine, choices.order(), layout, ordered, drilled);
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
                motion.liftSeconds() + motion.lowerSeconds());
    }

    private double defaultGap(Order order, String quality) {
        try {
            return HouseRecipe.gap(book.find(order.material(), order.thickness(), quality));
        } catch (CutDataException noData) {
            return GAP_WITHOUT_DATA;
        }
    }
}
