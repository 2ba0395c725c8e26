package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.util.Optional;

/**
 * One move of a tool and the floor that it leaves. Exact for lines at any slope, for arcs at one
 * height, and for flat tools along climbing arcs; of others climbing arcs count as lines that lie
 * within a tenth of a micrometre of them.
 *
 * @param leg its place among those of the stop that cut
 * @param made how many legs of all stops are done before it
 * @param move what is done
 */
record Piece(Cutting of, int leg, int made, Leg move) {

    /** Round all that it cuts below the top. */
    Box box() {
        Tool.Form form = form();
        double reach =
                form.kind() == ToolKind.SAW
                        ? form.radius()
                        : form.effectiveDiameter(Math.max(0, -lowest())) / 2;
        return move.segment()
                .map(Segment::box)
                .orElse(new Box(move.from(), move.from()))
                .grown(reach);
    }

    Tool.Form form() {
        return of.form();
    }

    Optional<Segment> way() {
        return move.segment();
    }

    /** Height of the tip at its lowest. */
    double lowest() {
        return move.lowest();
    }

    /** Its beginning, to a share of it from 0 to 1. */
    Piece beginning(double share) {
        double end = move.fromZ() + share * (move.toZ() - move.fromZ());
        Leg part =
                way().isPresent()
                        ? move.between(0, share)
                        : Leg.upright(move.from(), move.fromZ(), end, move.pace());
        return new Piece(of, leg, made, part);
    }

    /** Height of the floor that it leaves at a place; infinite where it does not come. */
    double lowest(Point p) {
        if (form().kind() == ToolKind.SAW) {
            return sawn(p);
        }
        if (way().isPresent() && move.fromZ() != move.toZ()) {
            return new Climb(move, form()).lowest(p);
        }
        double off = way().map(w -> w.distance(p)).orElseGet(() -> move.from().distance(p));
        return off <= form().radius() ? lowest() + form().rise(off) : Double.POSITIVE_INFINITY;
    }

    /** A blade stands along its way: beyond the ends it cuts as its circle does. */
    private double sawn(Point p) {
        if (way().isEmpty() || !(way().get() instanceof Line line)) {
            return Double.POSITIVE_INFINITY;
        }
        double radius = form().radius();
        double foot = Climb.foot(line, p);
        double beside = line.at(foot).distance(p);
        double beyond = Math.max(0, Math.max(-foot, foot - 1)) * line.length();
        if (beside > form().bladeWidth() / 2 || beyond > radius) {
            return Double.POSITIVE_INFINITY;
        }
        double rise = radius - Math.sqrt(radius * radius - beyond * beyond);
        return Math.max(move.fromZ(), move.toZ()) + rise;
    }
}
