package dev.oleander.plan.wire;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Placement;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.SheetLayout;
import dev.oleander.plan.sheet.LayoutPlanner;
import java.util.ArrayList;
import java.util.List;

/** Where the copies of a drawing lie on a wire machine: in rows and columns, or round a centre. */
final class WireLayout {

    /** mm between copies and at the edge when nothing was chosen. */
    private static final double GAP = 10;

    private final WireTask task;
    private final WireChoices choices;
    private final Subjects subjects;

    WireLayout(WireTask task, WireChoices choices, Subjects subjects) {
        this.task = task;
        this.choices = choices;
        this.subjects = subjects;
    }

    /** How many copies are as drawn; those after them are punches of sets. */
    static int dies(SheetLayout layout, Subjects subjects) {
        boolean sets = subjects.all().stream().anyMatch(subjects::isSet);
        return sets ? layout.placements().size() / 2 : layout.placements().size();
    }

    /**
     * @throws dev.oleander.plan.PlanException when a size is not usable
     */
    SheetLayout lay(Reading reading, SheetChoices sheet) {
        Box box = reading.workBox();
        SheetLayout grid = new LayoutPlanner(sheet, GAP).lay(box, task.quantity());
        List<Placement> placements = new ArrayList<>(grid.placements());
        if (choices.round() != null && !placements.isEmpty()) {
            placements = round(placements.get(0).transform());
        }
        if (subjects.all().stream().anyMatch(subjects::isSet)) {
            addPunches(placements, box);
        }
        Box stock = grid.stock();
        if (placements.size() > grid.placements().size() && sheet.aroundPart()) {
            double edge = sheet.allowance().value();
            List<Box> boxes =
                    new ArrayList<>(
                            placements.stream()
                                    .map(p -> WirePlanner.placed(box, p.transform()).grown(edge))
                                    .toList());
            boxes.add(stock);
            stock = Box.around(boxes);
        }
        boolean more = placements.size() != grid.placements().size();
        return new SheetLayout(
                stock,
                placements,
                more ? placements.size() : grid.asked(),
                grid.rows(),
                grid.columns(),
                grid.gap(),
                grid.margin(),
                grid.keepOut());
    }

    private List<Placement> round(Transform first) {
        CopyChoice round = choices.round();
        List<Placement> placements = new ArrayList<>();
        int count = (int) Math.round(round.count().value());
        Point centre = first.apply(round.centre());
        for (int i = 0; i < count; i++) {
            double angle = round.indexed() ? 0 : Math.toRadians(i * round.angle().value());
            Transform turn =
                    Transform.translation(centre.times(-1))
                            .then(Transform.rotation(angle))
                            .then(Transform.translation(centre));
            placements.add(new Placement(i + 1, first.then(turn)));
        }
        return placements;
    }

    /** To the right of all dies, in the same arrangement. */
    private static void addPunches(List<Placement> placements, Box box) {
        List<Box> boxes =
                placements.stream().map(p -> WirePlanner.placed(box, p.transform())).toList();
        if (boxes.isEmpty()) {
            return;
        }
        double aside = Box.around(boxes).width() + GAP;
        int dies = placements.size();
        for (int i = 0; i < dies; i++) {
            Placement die = placements.get(i);
            Transform beside = die.transform().then(Transform.translation(new Point(aside, 0)));
            placements.add(new Placement(dies + i + 1, beside));
        }
    }
}
