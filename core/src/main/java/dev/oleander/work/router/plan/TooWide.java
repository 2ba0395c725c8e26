package dev.oleander.work.router.plan;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.geometry.axis.MiddleAxis;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A tool that does not fit into what it is to work. */
final class TooWide {

    private TooWide() {}

    /** Says how wide it is, and what would fit. */
    static CannotException of(
            RouterTask task, Operation operation, Tool tool, Region pocket, String feature) {
        double widest = 2 * widest(pocket);
        return new CannotException(
                "%s is %s mm wide at its widest; tool %d has %s mm. Choose up to %s mm%s.",
                feature,
                Numbers.plain(widest, 3),
                tool.number(),
                Numbers.plain(tool.diameter(), 3),
                Numbers.plain(widest, 3),
                fitting(task, operation, widest).map(t -> wouldLeave(t, pocket)).orElse(""));
    }

    private static Optional<Tool> fitting(RouterTask task, Operation operation, double widest) {
        return task.tools().stream()
                .filter(t -> Suitable.whyNot(t, operation.what()).isEmpty() && t.kind().isFlat())
                .filter(t -> t.diameter() <= widest)
                .max(Comparator.comparingDouble(Tool::diameter));
    }

    private static String wouldLeave(Tool other, Region pocket) {
        double left = Reach.area(Reach.of(List.of(pocket), other.diameter() / 2).rest());
        return ": tool %d (%s mm) would leave %s mm2"
                .formatted(
                        other.number(), Numbers.plain(other.diameter(), 3), Numbers.plain(left, 1));
    }

    /** Radius of the largest disc in a region, mm. */
    static double widest(Region region) {
        var circle = region.outer().circleDiameter(1e-6);
        if (circle.isPresent() && region.openings().isEmpty()) {
            return circle.getAsDouble() / 2;
        }
        double widest = 0;
        for (Branch branch : MiddleAxis.of(List.of(region))) {
            for (int i = 0; i <= 8; i++) {
                widest = Math.max(widest, branch.at(i / 8.0).radius());
            }
        }
        return widest;
    }
}
