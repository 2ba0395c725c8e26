package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.LayoutPlanner;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.work.wire.choice.CopyChoice;
import dev.oleander.work.wire.choice.RepeatChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireTask;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Where the copies of a drawing lie on a wire machine, in rows and columns or round a centre, and
 * in them the copies of single contours.
 */
final class WireLayout {

    /** mm between copies and at the edge when nothing was chosen. */
    private static final double GAP = RepeatChoice.GAP;

    private final WireTask task;
    private final WireChoices choices;
    private final Map<String, Feature> features = new LinkedHashMap<>();
    private final Set<String> sets;

    WireLayout(WireTask task, WireChoices choices, Subjects subjects) {
        this.task = task;
        this.choices = choices;
        subjects.all().forEach(f -> features.put(f.id(), f));
        this.sets =
                subjects.all().stream()
                        .filter(subjects::isSet)
                        .map(Feature::id)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The copies, and the stock that holds them; its placements are those of the whole drawing. */
    record Laid(SheetLayout layout, List<WireCopy> copies) {}

    /**
     * @throws dev.oleander.plan.PlanException when a size is not usable
     */
    Laid lay(Reading reading, SheetChoices sheet) {
        Box box = reading.workBox();
        Demand demand = Demand.of(reading, task.quantity(), sheet.parts());
        SheetLayout grid = new LayoutPlanner(sheet, GAP).lay(reading, demand, task.firstCopy());
        List<WireCopy> copies = wholes(grid.placements());
        if (!sets.isEmpty()) {
            addPunches(copies, box);
        }
        List<Placement> wholes = copies.stream().map(WireCopy::placement).toList();
        addRepeats(copies);
        boolean more = copies.size() != grid.placed();
        SheetLayout layout =
                new SheetLayout(
                        more && sheet.aroundPart()
                                ? around(copies, box, grid, sheet)
                                : grid.stock(),
                        wholes,
                        wholes.size() == grid.placed() ? grid.asked() : wholes.size(),
                        grid.rows(),
                        grid.columns(),
                        grid.gap(),
                        grid.margin(),
                        grid.keepOut());
        return new Laid(layout, List.copyOf(copies));
    }

    /** Copies of the whole drawing. */
    private List<WireCopy> wholes(List<Placement> placed) {
        List<WireCopy> copies = new ArrayList<>();
        if (choices.round() == null || placed.isEmpty()) {
            placed.forEach(p -> copies.add(whole(p, 0)));
            return copies;
        }
        CopyChoice round = choices.round();
        Transform first = placed.get(0).transform();
        Point centre = first.apply(round.centre());
        int count = (int) Math.round(round.count().value());
        for (int i = 0; i < count; i++) {
            double angle = i * round.angle().value();
            Transform there =
                    round.indexed() ? first : first.then(RepeatChoice.turned(centre, angle));
            Placement copy = new Placement(task.firstCopy() + i, there, placed.get(0).of());
            copies.add(whole(copy, round.indexed() ? angle : 0));
        }
        return copies;
    }

    private WireCopy whole(Placement placement, double turn) {
        Set<String> there =
                features.values().stream()
                        .filter(placement.of()::holds)
                        .map(Feature::id)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        return new WireCopy(placement, there, placement.copy(), false, turn);
    }

    /** Punches to the right of all dies, in the same arrangement. */
    private void addPunches(List<WireCopy> copies, Box box) {
        List<Box> boxes =
                copies.stream()
                        .map(c -> WirePlanner.placed(boxOf(c, box), c.placement().transform()))
                        .toList();
        if (boxes.isEmpty()) {
            return;
        }
        double aside = Box.around(boxes).width() + GAP;
        for (WireCopy die : List.copyOf(copies)) {
            Transform there =
                    die.placement().transform().then(Transform.translation(new Point(aside, 0)));
            Placement beside =
                    new Placement(task.firstCopy() + copies.size(), there, die.placement().of());
            Set<String> punches = new LinkedHashSet<>(sets);
            punches.retainAll(die.features());
            copies.add(new WireCopy(beside, punches, beside.copy(), true, die.turn()));
        }
    }

    /** Contours that are repeated in the same way are copied together. */
    private void addRepeats(List<WireCopy> copies) {
        Map<RepeatChoice, Set<String>> repeats = new LinkedHashMap<>();
        for (String feature : features.keySet()) {
            RepeatChoice repeat =
                    choices.stops().getOrDefault(feature, WireChoice.NOTHING).repeat();
            repeats.computeIfAbsent(repeat, r -> new LinkedHashSet<>()).add(feature);
        }
        List<WireCopy> bases = List.copyOf(copies);
        repeats.forEach(
                (repeat, repeated) -> {
                    for (WireCopy base : bases) {
                        Set<String> there = new LinkedHashSet<>(repeated);
                        there.retainAll(base.features());
                        if (!there.isEmpty()) {
                            repeat.others(boxOf(there))
                                    .forEach(s -> copies.add(copy(copies, base, there, s)));
                        }
                    }
                });
    }

    private WireCopy copy(
            List<WireCopy> copies, WireCopy base, Set<String> there, RepeatChoice.Shift shift) {
        Transform transform = shift.transform().then(base.placement().transform());
        return new WireCopy(
                new Placement(task.firstCopy() + copies.size(), transform, base.placement().of()),
                there,
                base.number(),
                base.punches(),
                base.turn() + shift.turn());
    }

    private Box around(List<WireCopy> copies, Box whole, SheetLayout grid, SheetChoices sheet) {
        double edge = sheet.allowance().value();
        Map<Set<String>, Box> drawn = new HashMap<>();
        List<Box> boxes = new ArrayList<>(List.of(grid.stock()));
        for (WireCopy copy : copies) {
            Box box =
                    copy.base() == copy.number()
                            ? boxOf(copy, whole)
                            : drawn.computeIfAbsent(copy.features(), this::boxOf);
            boxes.add(WirePlanner.placed(box, copy.placement().transform()).grown(edge));
        }
        return Box.around(boxes);
    }

    /**
     * @param whole box of the whole drawing
     */
    private Box boxOf(WireCopy copy, Box whole) {
        boolean part = !copy.placement().of().isWhole() && !copy.features().isEmpty();
        return part ? boxOf(copy.features()) : whole;
    }

    private Box boxOf(Set<String> ids) {
        return Box.around(ids.stream().map(id -> features.get(id).chain().box()).toList());
    }
}
