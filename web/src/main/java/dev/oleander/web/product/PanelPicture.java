package dev.oleander.web.product;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.Lying;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A panel as pictures: its faces side by side, and how it lies on the machine. Each feature is a
 * link to itself.
 */
final class PanelPicture {

    private static final double NET = 860;
    private static final double LYING = 420;

    private final Panel panel;
    private final Decision decision;
    private final String selected;

    /** Number of the clamping of each feature, from 1. */
    private final Map<String, Integer> clampings = new TreeMap<>();

    /**
     * @param selected id of a feature; empty: none
     */
    PanelPicture(Panel panel, Decision decision, String selected) {
        this.panel = panel;
        this.decision = decision;
        this.selected = selected;
        int number = 1;
        for (Clamping clamping : decision.clampings()) {
            for (String feature : clamping.features()) {
                clampings.put(feature, number);
            }
            number++;
        }
    }

    /** All faces, as SVG. */
    String faces() {
        FaceNet net = new FaceNet(panel.size());
        SvgFigure figure = new SvgFigure(net.box(), NET, "faces of " + panel.name());
        for (Face face : Face.values()) {
            Box outline = net.outline(face);
            figure.path(outline(net, face), face.isEdge() ? "face edge" : "face");
            if (panel.bands().containsKey(face)) {
                figure.path(Contour.rectangle(outline), "band");
            }
            figure.text(
                    new Point(outline.centre().x(), outline.min().y()), face.label(), "face-name");
        }
        for (PanelFeature feature : panel.features()) {
            draw(figure, feature, net.of(feature.face()), "");
        }
        return figure.svg();
    }

    private Chain outline(FaceNet net, Face face) {
        if (panel.outline().isEmpty() || face.isEdge()) {
            return Contour.rectangle(net.outline(face));
        }
        Transform fromTop =
                face == Face.TOP
                        ? Transform.IDENTITY
                        : new Transform(1, 0, 0, -1, 0, panel.size().width());
        return panel.contour().transformed(fromTop.then(net.of(face)));
    }

    /** How it lies in one clamping, seen from above, as SVG. */
    String lying(Clamping clamping) {
        return lying(clamping, List.of());
    }

    /**
     * The same with the pods under it.
     *
     * @param pods as they lie on the machine
     */
    String lying(Clamping clamping, List<Box> pods) {
        Lying lying = clamping.lying();
        Face.Size on = lying.on(panel.size());
        Box box = Box.of(Point.ORIGIN, new Point(on.length(), on.width()));
        double margin = 0.07 * Math.max(on.length(), on.width());
        SvgFigure figure =
                new SvgFigure(box.grown(margin), LYING, clamping.lying().up().label() + " up");
        figure.path(panel.contour().transformed(lying.of(Face.TOP, panel.size())), "face");
        pods.forEach(pod -> figure.path(Contour.rectangle(pod), "pod"));
        for (Face edge : Face.edges()) {
            boolean reference = clamping.reference().contains(edge);
            Path side = side(lying.looks(edge), on);
            figure.path(side, reference ? "stop-edge" : "free-edge");
            Point out = point(lying.looks(edge).outward());
            Point middle = Box.of(side.start(), side.end()).centre();
            figure.text(middle.plus(out.times(margin / 2)), edge.label(), "edge-name");
        }
        for (PanelFeature feature : panel.features()) {
            String here = clamping.features().contains(feature.id()) ? "" : " elsewhere";
            if (feature.face().isEdge()) {
                drawBore(figure, feature, lying, here);
            } else {
                draw(figure, feature, lying.of(feature.face(), panel.size()), here);
            }
        }
        return figure.svg();
    }

    private static Path side(Face looks, Face.Size on) {
        double x = looks == Face.RIGHT ? on.length() : 0;
        double y = looks == Face.BACK ? on.width() : 0;
        boolean upright = looks == Face.LEFT || looks == Face.RIGHT;
        Point from = new Point(x, y);
        Point to = upright ? new Point(x, on.width()) : new Point(on.length(), y);
        return new Path(List.of(new Line(from, to)));
    }

    private static Point point(Spot spot) {
        return new Point(spot.x(), spot.y());
    }

    private void draw(SvgFigure figure, PanelFeature feature, Transform to, String more) {
        figure.open(feature.id(), css(feature) + more, title(feature));
        figure.path(feature.line().transformed(to), "line");
        figure.text(to.apply(feature.middle()), feature.id(), "name");
        figure.close();
    }

    /** A hole in an edge seen from above: as deep as it is, as wide as it is. */
    private void drawBore(SvgFigure figure, PanelFeature feature, Lying lying, String more) {
        Point middle = feature.middle();
        Point mouth =
                point(
                        lying.at(
                                feature.face().at(middle.x(), middle.y(), 0, panel.size()),
                                panel.size()));
        Point floor =
                point(
                        lying.at(
                                feature.face()
                                        .at(middle.x(), middle.y(), feature.depth(), panel.size()),
                                panel.size()));
        Point across = point(lying.turned(feature.face().u())).times(feature.diameter() / 2);
        figure.open(feature.id(), css(feature) + " bore" + more, title(feature));
        figure.path(Contour.rectangle(Box.of(mouth.minus(across), floor.plus(across))), "line");
        figure.text(floor, feature.id(), "name");
        figure.close();
    }

    private String css(PanelFeature feature) {
        String clamping =
                clampings.containsKey(feature.id())
                        ? "in-" + clampings.get(feature.id())
                        : "refused";
        String chosen = feature.id().equals(selected) ? " selected" : "";
        String form = feature.area().isEmpty() ? " line-only" : "";
        return "feature " + clamping + (feature.through() ? " through" : "") + form + chosen;
    }

    private static String title(PanelFeature feature) {
        return FeatureView.title(feature);
    }
}
