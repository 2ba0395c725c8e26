package dev.oleander.work.router.panel;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;

/** What tools take away whose end is not flat: drills, balls, cones and blades. */
final class ByOtherTools {

    private static final Offsetter STRAIGHT =
            new Offsetter(OffsetOptions.defaults().withEnds(OffsetOptions.Ends.FLAT));

    private final List<Cutting> cuttings;

    /**
     * @param all those with a flat end are left out
     */
    ByOtherTools(List<Cutting> all) {
        this.cuttings =
                all.stream()
                        .filter(c -> !c.form().kind().isFlat() || c.form().cornerRadius() > 0)
                        .toList();
    }

    /**
     * @param depth mm below the top
     * @param surely whether a move that climbs counts at its highest
     */
    List<Region> at(double depth, boolean surely) {
        List<Region> gone = new ArrayList<>();
        for (Cutting cutting : cuttings) {
            for (Leg leg : cutting.legs()) {
                double tip =
                        surely && leg.segment().isPresent()
                                ? Math.max(leg.fromZ(), leg.toZ())
                                : Math.min(leg.fromZ(), leg.toZ());
                // how high above the tip of the tool
                double high = -depth - tip;
                if (high > 0) {
                    gone.addAll(swath(cutting.form(), leg, high));
                }
            }
        }
        return gone;
    }

    private static List<Region> swath(Tool.Form form, Leg leg, double high) {
        if (form.kind() == ToolKind.SAW) {
            return leg.segment().map(s -> kerf(form, s, high)).orElse(List.of());
        }
        double radius = high >= form.tipLength() ? form.radius() : form.effectiveDiameter(high) / 2;
        if (radius <= 0) {
            return List.of();
        }
        return leg.segment()
                .map(s -> Offsetter.round().band(new Path(List.of(s)), radius))
                .orElseGet(() -> List.of(new Region(Contour.circle(leg.to(), radius), List.of())));
    }

    /** A blade reaches beyond both ends of its way by half its chord at that height. */
    private static List<Region> kerf(Tool.Form form, Segment way, double high) {
        double radius = form.radius();
        double up = Math.min(high, radius);
        double beyond = Math.sqrt(Math.max(0, radius * radius - (radius - up) * (radius - up)));
        Point along = way.end().minus(way.start());
        double length = way.start().distance(way.end());
        if (length == 0) {
            return List.of();
        }
        Point step = along.times(beyond / length);
        Path line = new Path(List.of(new Line(way.start().minus(step), way.end().plus(step))));
        return STRAIGHT.band(line, form.bladeWidth() / 2);
    }
}
