package dev.oleander.work.router.panel;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Lying;

/**
 * Where a panel and its features lie on the machine, as it is when it is worked: before its edges
 * are banded, or after.
 */
final class OnMachine {

    private final Panel panel;
    private final Lying lying;
    private final Face.Size size;
    private final Spot shift;

    /**
     * @param allowance mm that the bander mills off an edge before it bands it
     */
    OnMachine(Panel panel, Clamping clamping, double allowance) {
        this.panel = panel;
        this.lying = clamping.lying();
        boolean before = panel.machined() == Panel.Machined.BEFORE || clamping.onBoard();
        this.size = before ? panel.cut(allowance) : panel.size();
        this.shift =
                before
                        ? Spot.ORIGIN.minus(panel.beforeBanding(Spot.ORIGIN, allowance))
                        : Spot.ORIGIN;
    }

    /** Along X and Y of the machine, and how high. */
    Face.Size size() {
        return lying.on(size);
    }

    /** The panel seen from above. */
    Contour outline() {
        Transform of = lying.of(Face.TOP, size);
        if (panel.outline().isEmpty()) {
            Face.Size on = size();
            return Contour.rectangle(Box.of(Point.ORIGIN, new Point(on.length(), on.width())));
        }
        return panel.contour()
                .transformed(Transform.translation(new Point(-shift.x(), -shift.y())))
                .transformed(of);
    }

    /** From (u, v) of the top or the bottom to the machine seen from above. */
    Transform of(Face face) {
        Point origin = above(face.at(0, 0, 0, panel.size()));
        Point u = above(face.at(1, 0, 0, panel.size())).minus(origin);
        Point v = above(face.at(0, 1, 0, panel.size())).minus(origin);
        return new Transform(u.x(), u.y(), v.x(), v.y(), origin.x(), origin.y());
    }

    /** Where a hole in an edge has its floor, seen from above. */
    Point floor(PanelFeature hole) {
        Point at = hole.middle();
        return above(hole.face().at(at.x(), at.y(), hole.depth(), panel.size()));
    }

    /** Where it begins: at the edge as it is when it is drilled. */
    Point mouth(PanelFeature hole) {
        Point floor = floor(hole);
        Face.Size on = size();
        return switch (lying.looks(hole.face())) {
            case LEFT -> new Point(0, floor.y());
            case RIGHT -> new Point(on.length(), floor.y());
            case FRONT -> new Point(floor.x(), 0);
            default -> new Point(floor.x(), on.width());
        };
    }

    /** How far the axis of a hole in an edge lies below the face that is up, mm. */
    double below(PanelFeature hole) {
        double v = hole.middle().y();
        return lying.up() == Face.TOP ? panel.size().thickness() - v : v;
    }

    private Point above(Spot finished) {
        Spot at = lying.at(finished.minus(shift), size);
        return new Point(at.x(), at.y());
    }
}
