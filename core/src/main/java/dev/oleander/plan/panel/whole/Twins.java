package dev.oleander.plan.panel.whole;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Face.Size;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Spot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Finds panels that are the same body, however their faces are called, and those that are each
 * other's mirror image. Each body is described by where what is taken away lies; of all ways to
 * turn it the description that sorts first stands for it.
 */
public final class Twins {

    /** Places are compared to 0.001 mm. */
    private static final double GRID = 1000;

    private final Map<String, String> equal = new HashMap<>();
    private final Map<String, String> mirrored = new HashMap<>();

    private Twins() {}

    public static Twins of(Product product) {
        Twins twins = new Twins();
        Map<String, String> bodies = new HashMap<>();
        for (Panel panel : product.made()) {
            String body = body(panel, false);
            String before = bodies.putIfAbsent(body, panel.id());
            if (before != null) {
                twins.equal.put(panel.id(), before);
                continue;
            }
            Optional.ofNullable(bodies.get(body(panel, true)))
                    .filter(other -> !other.equals(panel.id()))
                    .ifPresent(other -> twins.mirrored.put(panel.id(), other));
        }
        return twins;
    }

    /** The panel before it in the product that it shares its program with. */
    public Optional<String> equalTo(String panel) {
        return Optional.ofNullable(equal.get(panel));
    }

    /** The panel before it in the product whose mirror image it is, and not its equal. */
    public Optional<String> mirrorOf(String panel) {
        return Optional.ofNullable(mirrored.get(panel));
    }

    /** Half turns about the three axes, and none. */
    private static final List<Spot> TURNS =
            List.of(
                    new Spot(1, 1, 1),
                    new Spot(1, -1, -1),
                    new Spot(-1, 1, -1),
                    new Spot(-1, -1, 1));

    private static String body(Panel panel, boolean mirror) {
        Spot image = new Spot(mirror ? -1 : 1, 1, 1);
        return TURNS.stream()
                .map(t -> new Spot(t.x() * image.x(), t.y() * image.y(), t.z() * image.z()))
                .map(signs -> described(panel, signs))
                .min(String::compareTo)
                .orElseThrow();
    }

    private static String described(Panel panel, Spot signs) {
        Size size = panel.size();
        UnaryOperator<Spot> moved =
                s ->
                        new Spot(
                                signs.x() > 0 ? s.x() : size.length() - s.x(),
                                signs.y() > 0 ? s.y() : size.width() - s.y(),
                                signs.z() > 0 ? s.z() : size.thickness() - s.z());
        List<String> lines = new ArrayList<>();
        panel.features().forEach(f -> lines.add(feature(f, size, moved)));
        panel.outline().ifPresent(o -> lines.add("outline " + outline(o, Face.TOP, size, moved)));
        panel.bandIds().forEach((edge, id) -> lines.add("band " + turned(edge, signs) + id));
        panel.show().forEach(face -> lines.add("show " + turned(face, signs)));
        lines.sort(null);
        return "%s %s %s %s %s %s\n%s"
                .formatted(
                        panel.material(),
                        panel.grain(),
                        panel.machined(),
                        number(size.length()),
                        number(size.width()),
                        number(size.thickness()),
                        String.join("\n", lines));
    }

    private static Face turned(Face face, Spot signs) {
        Spot out = face.outward();
        Spot now = new Spot(out.x() * signs.x(), out.y() * signs.y(), out.z() * signs.z());
        return Stream.of(Face.values())
                .filter(f -> f.outward().distance(now) < 0.5)
                .findFirst()
                .orElseThrow();
    }

    /** What goes through is the same from both faces: it is described from the middle. */
    private static String feature(PanelFeature f, Size size, UnaryOperator<Spot> moved) {
        double down = f.belongsToNone() ? f.depth() / 2 : 0;
        String what =
                "%s %s %s %s %s"
                        .formatted(
                                f.kind(),
                                number(f.depth()),
                                number(f.width().orElse(0)),
                                f.tag(),
                                steps(f));
        if (f.at().isPresent()) {
            Spot at = f.face().at(f.middle().x(), f.middle().y(), down, size);
            return what + " " + number(f.diameter()) + place(moved.apply(at));
        }
        List<String> places = new ArrayList<>();
        for (Segment segment : f.line().segments()) {
            places.add(segment(segment, f.face(), size, down, moved));
        }
        places.sort(null);
        return what + String.join("|", places);
    }

    private static String steps(PanelFeature f) {
        StringBuilder steps = new StringBuilder();
        f.steps().forEach(s -> steps.append(number(s.diameter())).append(number(s.depth())));
        return steps.toString();
    }

    private static String outline(
            Contour outline, Face face, Size size, UnaryOperator<Spot> moved) {
        List<String> places = new ArrayList<>();
        outline.segments().forEach(s -> places.add(segment(s, face, size, 0, moved)));
        places.sort(null);
        return String.join("|", places);
    }

    /** Its ends, and its middle, which tells an arc from a line; whichever way it runs. */
    private static String segment(
            Segment segment, Face face, Size size, double down, UnaryOperator<Spot> moved) {
        String first = place(moved.apply(spot(segment.start(), face, size, down)));
        String second = place(moved.apply(spot(segment.end(), face, size, down)));
        Point middle = segment.middle();
        String between = place(moved.apply(spot(middle, face, size, down)));
        return first.compareTo(second) < 0 ? first + between + second : second + between + first;
    }

    private static Spot spot(Point at, Face face, Size size, double down) {
        return face.at(at.x(), at.y(), down, size);
    }

    private static String place(Spot s) {
        return "(%s,%s,%s)".formatted(number(s.x()), number(s.y()), number(s.z()));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%d ", Math.round(value * GRID));
    }
}
