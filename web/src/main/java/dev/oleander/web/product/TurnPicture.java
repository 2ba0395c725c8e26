package dev.oleander.web.product;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Lying;
import java.util.ArrayList;
import java.util.List;

/**
 * How a panel comes from one clamping to the next: as it lay, half way, and as it lies then, seen
 * at a slant from the front of the machine. The edge that lies at the front stop then is marked.
 */
final class TurnPicture {

    private static final double SIZE = 420;

    /** Share of the way in each of the pictures. */
    private static final double[] SHARES = {0, 0.5, 1};

    /** How far the depth of the machine goes right and up in the picture. */
    private static final double RIGHT = 0.42;

    private static final double UP = 0.36;

    /** Towards who looks. */
    private static final Spot VIEWER = new Spot(RIGHT, -1, UP);

    private final Panel panel;
    private final Clamping from;
    private final Clamping to;

    TurnPicture(Panel panel, Clamping from, Clamping to) {
        this.panel = panel;
        this.from = from;
        this.to = to;
    }

    /** Whether it lies in another way at all. */
    static boolean isTurned(Clamping from, Clamping to) {
        return !from.lying().equals(to.lying());
    }

    private boolean isTurnedOver() {
        return from.lying().up() != to.lying().up();
    }

    /** Quarter turns on the table, seen from above, -1 to 2. */
    private int quarters() {
        int quarters = Math.floorMod(to.lying().turn() - after().turn(), 360) / 90;
        return quarters == 3 ? -1 : quarters;
    }

    /** As it would lie if it were only turned over about the Y axis of the machine. */
    private Lying after() {
        Lying before = from.lying();
        if (!isTurnedOver()) {
            return before;
        }
        // turned by a quarter its width lies along X, and what turns over is its length
        int turn = before.turn() % 180 == 0 ? before.turn() : (before.turn() + 180) % 360;
        return new Lying(to.lying().up(), turn);
    }

    /** A sentence for people. */
    String sentence() {
        List<String> parts = new ArrayList<>();
        if (isTurnedOver()) {
            parts.add("over its left and right ends as it lies, so that front and back stay");
        }
        int quarters = quarters();
        if (quarters != 0) {
            parts.add(
                    "by %d° on the table, %s"
                            .formatted(
                                    Math.abs(quarters) * 90,
                                    quarters > 0 ? "anticlockwise" : "clockwise"));
        }
        return "It is turned " + String.join(", then ", parts) + ".";
    }

    String svg() {
        List<Drawn> drawn = new ArrayList<>();
        double right = 0;
        for (double share : SHARES) {
            Drawn one = new Drawn(share);
            Box box = one.box();
            Point move = new Point(right - box.min().x(), 0);
            drawn.add(one.moved(move));
            right += box.width() + 0.12 * longest();
        }
        Box all = Box.around(drawn.stream().map(Drawn::box).toList());
        SvgFigure figure = new SvgFigure(all, SIZE, sentence());
        drawn.forEach(d -> d.draw(figure));
        return figure.svg();
    }

    /** A way of the panel as it points in the end. */
    Spot ends(Spot way) {
        return turned(way, 1);
    }

    /** A way of the panel after so much of the turn. */
    private Spot turned(Spot way, double share) {
        Spot lay = from.lying().turned(way);
        double over = isTurnedOver() ? Math.PI * share : 0;
        Spot tilted =
                new Spot(
                        lay.x() * Math.cos(over) + lay.z() * Math.sin(over),
                        lay.y(),
                        -lay.x() * Math.sin(over) + lay.z() * Math.cos(over));
        double about = quarters() * Math.PI / 2 * share;
        return new Spot(
                tilted.x() * Math.cos(about) - tilted.y() * Math.sin(about),
                tilted.x() * Math.sin(about) + tilted.y() * Math.cos(about),
                tilted.z());
    }

    private double longest() {
        return Math.max(panel.size().length(), panel.size().width());
    }

    // ---- one of the pictures

    private final class Drawn {

        private final double share;
        private final Point by;

        Drawn(double share) {
            this(share, Point.ORIGIN);
        }

        private Drawn(double share, Point by) {
            this.share = share;
            this.by = by;
        }

        Drawn moved(Point more) {
            return new Drawn(share, more);
        }

        Box box() {
            List<Box> boxes = new ArrayList<>();
            for (Face face : Face.values()) {
                boxes.add(outline(face).box());
            }
            return Box.around(boxes);
        }

        void draw(SvgFigure figure) {
            for (Face face : Face.values()) {
                if (turned(face.outward()).dot(VIEWER) > 0) {
                    figure.path(outline(face), face.isEdge() ? "face edge" : "face");
                    boolean stop = to.reference().contains(face);
                    figure.path(outline(face), stop ? "turn-stop" : "turn-free");
                    if (!face.isEdge()) {
                        figure.text(middle(face), face.label(), "face-name");
                    }
                }
            }
            for (Face face : to.reference()) {
                figure.path(rim(face), "stop-edge");
            }
        }

        private Point middle(Face face) {
            return shown(face.at(face.across(size()) / 2, face.up(size()) / 2, 0, size()));
        }

        private Contour outline(Face face) {
            double a = face.across(size());
            double b = face.up(size());
            List<Point> corners =
                    List.of(
                            shown(face.at(0, 0, 0, size())),
                            shown(face.at(a, 0, 0, size())),
                            shown(face.at(a, b, 0, size())),
                            shown(face.at(0, b, 0, size())));
            List<Segment> lines = new ArrayList<>();
            for (int i = 0; i < corners.size(); i++) {
                lines.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
            }
            return new Contour(lines);
        }

        /** The lower rim of an edge, as it lies in the end. */
        private Path rim(Face edge) {
            double v = to.lying().up() == Face.TOP ? 0 : edge.up(size());
            Point start = shown(edge.at(0, v, 0, size()));
            Point end = shown(edge.at(edge.across(size()), v, 0, size()));
            return new Path(List.of(new Line(start, end)));
        }

        private Point shown(Spot ofPanel) {
            Spot at = turned(ofPanel.minus(centre()));
            return new Point(at.x() + RIGHT * at.y(), at.z() + UP * at.y()).plus(by);
        }

        private Spot turned(Spot way) {
            return TurnPicture.this.turned(way, share);
        }

        private Face.Size size() {
            return panel.size();
        }

        private Spot centre() {
            return new Spot(size().length() / 2, size().width() / 2, size().thickness() / 2);
        }
    }
}
