package dev.oleander.plan.panel.file;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Faces of panels as drawings, one for each face, drawn as (u, v): {@code side-r.top.dxf}. Layers
 * say what lines are: OUTLINE, CUT, HOLE 13, HOLE THROUGH, POCKET 6, GROOVE 8, REBATE 9, FOLLOW
 * 0.5.
 */
public final class FaceDrawings {

    private static final Pattern NAME =
            Pattern.compile("(.+)\\.([a-z]+)\\.(?:dxf|svg)", Pattern.CASE_INSENSITIVE);
    private static final Pattern LAYER = Pattern.compile("([A-Z]+)(?:[ _]+(.+))?");
    private static final String OUTLINE = "OUTLINE";
    private static final String CUT = "CUT";
    private static final String THROUGH = "through";
    private static final int DECIMALS = 6;

    private FaceDrawings() {}

    /**
     * A face that was drawn.
     *
     * @param across how far u goes, by its outline, mm; empty: it has none
     * @param up how far v goes
     * @param outline corners, where it is no rectangle
     */
    public record Drawn(
            String panel,
            Face face,
            Optional<Double> across,
            Optional<Double> up,
            List<List<Amount>> outline,
            List<ProductFile.Feature> features) {}

    // ---- read

    /**
     * @param name of the file: panel, face and form
     * @throws PanelException when the name says no panel and face, or a layer no depth
     * @throws dev.oleander.drawing.DrawingException when it is no drawing
     */
    public static Drawn read(String name, byte[] content) {
        Matcher parts = NAME.matcher(name.replaceAll(".*[/\\\\]", ""));
        if (!parts.matches()) {
            throw new PanelException(
                    "%s: the name of a face's drawing is panel.face.dxf, such as side.top.dxf."
                            .formatted(name));
        }
        Face face = PanelReader.face(parts.group(2).toLowerCase(Locale.ROOT), name);
        Drawing drawing = new DrawingFiles(ImportOptions.defaults()).read(name, content);
        return new Reader(name, parts.group(1), face, reading(drawing)).drawn();
    }

    /** Everything but the outline may cross other lines. */
    private static Reading reading(Drawing drawing) {
        Map<String, Purpose> purposes = new HashMap<>();
        for (Layer layer : drawing.layers()) {
            if (!layer.name().equalsIgnoreCase(OUTLINE)) {
                purposes.put(layer.name(), Purpose.MARK);
            }
        }
        return new DrawingReading(ReadOptions.defaults().withRules(PurposeRules.ofLayers(purposes)))
                .read(drawing);
    }

    private record Reader(String file, String panel, Face face, Reading reading) {

        Drawn drawn() {
            Optional<Chain> outline =
                    reading.features().stream()
                            .filter(f -> f.layer().equalsIgnoreCase(OUTLINE))
                            .map(f -> f.chain())
                            .findFirst();
            Optional<Box> box = outline.map(Chain::box);
            Point origin = box.map(Box::min).orElse(Point.ORIGIN);
            Transform toZero = Transform.translation(Point.ORIGIN.minus(origin));
            List<ProductFile.Feature> features = new ArrayList<>();
            reading.features().stream()
                    .filter(f -> !f.layer().equalsIgnoreCase(OUTLINE))
                    .forEach(
                            f ->
                                    features.add(
                                            feature(
                                                    "%s%d"
                                                            .formatted(
                                                                    face.word(),
                                                                    features.size() + 1),
                                                    f.layer(),
                                                    f.chain().transformed(toZero),
                                                    f.circleDiameter().isPresent())));
            return new Drawn(
                    panel,
                    face,
                    box.map(Box::width),
                    box.map(Box::height),
                    outline.filter(o -> !isRectangle(o))
                            .map(o -> corners(o.transformed(toZero)))
                            .orElse(List.of()),
                    features);
        }

        private ProductFile.Feature feature(String id, String layer, Chain chain, boolean circle) {
            Matcher name = LAYER.matcher(layer.toUpperCase(Locale.ROOT).strip());
            Optional<FeatureKind> kind =
                    name.matches()
                            ? Worded.of(FeatureKind.class, name.group(1).toLowerCase(Locale.ROOT))
                            : Optional.empty();
            boolean cut = name.matches() && name.group(1).equals(CUT);
            if (kind.isEmpty() && !cut) {
                throw new PanelException(
                        "%s: layer %s says not what its lines are: CUT, HOLE, POCKET, GROOVE, REBATE, SLOT, FOLLOW, CHAMFER."
                                .formatted(file, layer));
            }
            String depth = cut ? THROUGH : depth(layer, name.group(2));
            boolean hole = kind.filter(k -> k == FeatureKind.HOLE).isPresent();
            if (hole && !circle) {
                throw new PanelException(
                        "%s: what lies on %s at (%s, %s) is no circle."
                                .formatted(
                                        file, layer, mm(chain.start().x()), mm(chain.start().y())));
            }
            Box box = chain.box();
            return new ProductFile.Feature(
                    id,
                    face.word(),
                    kind.orElse(FeatureKind.CUTOUT).word(),
                    hole ? List.of(amount(box.centre().x()), amount(box.centre().y())) : null,
                    hole ? List.of() : corners(chain),
                    hole ? amount(box.width()) : null,
                    new Amount(depth),
                    List.of(),
                    null,
                    null,
                    null,
                    chain instanceof Contour ? null : false);
        }

        private String depth(String layer, String said) {
            if (said == null) {
                throw new PanelException(
                        "%s: layer %s says no depth, such as %s 8 or %s THROUGH."
                                .formatted(file, layer, layer, layer));
            }
            return said.strip().equals("THROUGH") ? THROUGH : said.strip().replace(',', '.');
        }
    }

    private static boolean isRectangle(Chain outline) {
        return outline instanceof Contour contour
                && contour.segments().size() == 4
                && Math.abs(contour.area() - contour.box().width() * contour.box().height()) < 1e-6;
    }

    private static List<List<Amount>> corners(Chain chain) {
        List<List<Amount>> corners = new ArrayList<>();
        for (Segment segment : chain.segments()) {
            double bulge = segment instanceof Arc arc ? arc.bulge() : 0;
            corners.add(
                    List.of(
                            amount(segment.start().x()),
                            amount(segment.start().y()),
                            new Amount(Double.toString(bulge))));
        }
        if (!(chain instanceof Contour)) {
            corners.add(List.of(amount(chain.end().x()), amount(chain.end().y())));
        }
        return corners;
    }

    private static Amount amount(double millimetres) {
        return new Amount(mm(millimetres));
    }

    private static String mm(double millimetres) {
        return Numbers.plain(millimetres, DECIMALS);
    }

    // ---- a panel of its faces

    /**
     * A panel as it stands in a file.
     *
     * @param faces drawings of one panel
     * @param given sizes that were said; a size that is null is taken from the outlines
     * @throws PanelException when a size is not known, or faces do not fit each other
     */
    public static ProductFile.Panel panel(
            List<Drawn> faces, String material, Amount quantity, ProductFile.Panel given) {
        String id = faces.get(0).panel();
        double length = size(id, "length", given.length(), faces, FaceDrawings::lengthOf);
        double width = size(id, "width", given.width(), faces, FaceDrawings::widthOf);
        double thickness = size(id, "thickness", given.thickness(), faces, FaceDrawings::highOf);
        Face.Size size = new Face.Size(length, width, thickness);
        faces.forEach(f -> requireFit(f, size));
        List<ProductFile.Feature> features = new ArrayList<>();
        faces.forEach(f -> features.addAll(f.features()));
        List<List<Amount>> outline =
                faces.stream()
                        .filter(f -> f.face() == Face.TOP)
                        .map(Drawn::outline)
                        .findFirst()
                        .orElse(List.of());
        return new ProductFile.Panel(
                id,
                id,
                "panel",
                quantity,
                material,
                amount(length),
                amount(width),
                amount(thickness),
                outline,
                given.grain(),
                List.of(),
                Map.of(),
                null,
                null,
                features);
    }

    private interface Part {
        Optional<Double> of(Drawn face);
    }

    private static Optional<Double> lengthOf(Drawn f) {
        boolean along = f.face() != Face.LEFT && f.face() != Face.RIGHT;
        return along ? f.across() : Optional.empty();
    }

    private static Optional<Double> widthOf(Drawn f) {
        if (!f.face().isEdge()) {
            return f.up();
        }
        return f.face() == Face.LEFT || f.face() == Face.RIGHT ? f.across() : Optional.empty();
    }

    private static Optional<Double> highOf(Drawn f) {
        return f.face().isEdge() ? f.up() : Optional.empty();
    }

    private static double size(
            String panel, String what, Amount said, List<Drawn> faces, Part part) {
        if (said != null) {
            return said.in(Map.of(), "Panel %s, %s".formatted(panel, what));
        }
        // top and bottom first: edges are more often drawn without their outline
        return faces.stream()
                .sorted((a, b) -> Boolean.compare(a.face().isEdge(), b.face().isEdge()))
                .map(part::of)
                .flatMap(Optional::stream)
                .findFirst()
                .orElseThrow(
                        () ->
                                new PanelException(
                                        "Panel %s has no %s: say it, or draw the outline of a face."
                                                .formatted(panel, what)));
    }

    private static void requireFit(Drawn face, Face.Size size) {
        double across = face.face().across(size);
        if (face.across().isEmpty() || Math.abs(face.across().get() - across) < 1e-3) {
            return;
        }
        double drawn = face.across().get();
        String perhaps =
                Face.edges().stream()
                        .filter(e -> face.face().isEdge())
                        .filter(e -> Math.abs(e.across(size) - drawn) < 1e-3)
                        .findFirst()
                        .map(e -> ": it may be the " + e.label())
                        .orElse("");
        throw new PanelException(
                "The drawing of the %s face of %s is %s long; the panel is %s %s there%s."
                        .formatted(
                                face.face().label(),
                                face.panel(),
                                mm(drawn),
                                mm(across),
                                across == size.length() ? "long" : "wide",
                                perhaps));
    }

    // ---- written

    /** A face as DXF, as {@link #read} reads it. */
    public static String write(Panel panel, Face face) {
        List<WrittenChain> chains = new ArrayList<>();
        Box box = Box.of(Point.ORIGIN, new Point(face.across(panel.size()), face.up(panel.size())));
        Contour outline = face == Face.TOP ? panel.contour() : Contour.rectangle(box);
        chains.add(new WrittenChain(OUTLINE, outline, false));
        for (PanelFeature feature : panel.features()) {
            if (feature.face() == face) {
                chains.add(new WrittenChain(layer(feature), feature.line(), feature.isHole()));
            }
        }
        return DxfWriter.write(chains);
    }

    private static String layer(PanelFeature feature) {
        if (feature.kind() == FeatureKind.CUTOUT && feature.through()) {
            return CUT;
        }
        return "%s %s"
                .formatted(
                        feature.kind().name(), feature.through() ? "THROUGH" : mm(feature.depth()));
    }
}
