package dev.oleander.work.router.deed;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Feature.Kind;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Box;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.tool.Tool;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is done to a feature where nobody says anything: by its form, and by its layer, whose name
 * may say a deed and a depth, such as POCKET_6, DRILL 12 or CARVE.
 */
final class Usual {

    /** A number at the end of the name of a layer, mm. */
    private static final Pattern DEPTH = Pattern.compile(".*?(\\d+(?:[.,]\\d+)?)\\s*(?:MM)?$");

    private static final Pattern NO_LETTER = Pattern.compile("[^A-Z]+");

    /** Words of layers besides those of the deeds. */
    private static final List<String> POCKETS = List.of("RECESS", "POCKETS", "REBATE");

    private static final List<String> CARVINGS = List.of("CARVING", "ENGRAVE");

    /** mm2; suction holds larger parts. */
    private static final double HELD = 50_000;

    private static final double TAB_SPACING = 300;
    private static final int LEAST_TABS = 3;

    /** mm along the contour for each tab at least. */
    private static final double CLOSEST_TABS = 60;

    private static final double TAB_WIDTH = 8;
    private static final double TAB_HEIGHT = 3;

    /** Depth of a line that is only to be seen, mm. */
    private static final String MARK = "0.5";

    /** Widest opening of which nothing is left; wider ones are cut out along their line, mm. */
    private static final double BORED = 40;

    /** mm by which a drill may differ from the hole that is drawn. */
    private static final double NEAR = 0.05;

    private final DepthTexts texts;
    private final List<Tool> tools;
    private final double thickness;

    Usual(List<Tool> tools, double thickness, DepthTexts texts) {
        this.texts = texts;
        this.tools = tools;
        this.thickness = thickness;
    }

    /**
     * @param inPocket whether it lies in something that is cleared, and so is an island
     */
    RouterChoice of(Feature feature, boolean inPocket) {
        Optional<Double> depth = depth(feature);
        RouterKind kind = kind(feature, depth.isPresent(), inPocket);
        RouterChoice values = RouterChoice.NOTHING.with(WishValues.WORK, kind.word());
        return switch (kind) {
            case LEAVE -> values;
            case EDGE_DRILL ->
                    values.with(WishValues.WIDTH, depth.map(Usual::text).orElse(null))
                            .with(WishValues.DEPTH, "T/2");
            case CHAMFER -> values.with(WishValues.WIDTH, depth.map(Usual::text).orElse(null));
            case CARVE -> values.with(WishValues.FLOOR, depth.map(Usual::text).orElse(null));
            case CONTOUR -> tabbed(feature, values.with(WishValues.DEPTH, text(depth)));
            default ->
                    values.with(
                            WishValues.DEPTH,
                            isMark(feature) && depth.isEmpty() ? MARK : text(depth));
        };
    }

    private static String text(Optional<Double> depth) {
        return depth.map(Usual::text).orElse("through");
    }

    private static String text(double mm) {
        return Numbers.plain(mm, 3);
    }

    private static boolean isMark(Feature feature) {
        return feature.purpose() == Purpose.MARK;
    }

    /** What a text or the layer says, where that is less than the stock is thick. */
    private Optional<Double> depth(Feature feature) {
        return texts.of(feature).or(() -> ofLayer(feature)).filter(mm -> mm > 0 && mm < thickness);
    }

    private static Optional<Double> ofLayer(Feature feature) {
        Matcher name = DEPTH.matcher(feature.layer().toUpperCase(Locale.ROOT));
        return name.matches()
                ? Optional.of(Double.parseDouble(name.group(1).replace(',', '.')))
                : Optional.empty();
    }

    private RouterKind kind(Feature feature, boolean hasDepth, boolean inPocket) {
        Optional<RouterKind> said = said(feature);
        if (said.isPresent() && (feature.isClosed() || !needsClosed(said.get()))) {
            return said.get();
        }
        if (!feature.isClosed() || isMark(feature)) {
            return RouterKind.FOLLOW;
        }
        if (inPocket) {
            return RouterKind.LEAVE;
        }
        if (feature.kind() == Kind.OUTLINE) {
            return RouterKind.CONTOUR;
        }
        if (feature.circleDiameter().isPresent()) {
            return hole(feature.circleDiameter().getAsDouble());
        }
        Box box = feature.chain().box();
        boolean narrow = Math.min(box.width(), box.height()) <= BORED;
        return hasDepth || narrow ? RouterKind.POCKET : RouterKind.CONTOUR;
    }

    private static boolean needsClosed(RouterKind kind) {
        return kind != RouterKind.FOLLOW
                && kind != RouterKind.GROOVE
                && kind != RouterKind.EDGE_DRILL;
    }

    private static Optional<RouterKind> said(Feature feature) {
        List<String> words =
                Arrays.asList(NO_LETTER.split(feature.layer().toUpperCase(Locale.ROOT)));
        if (words.stream().anyMatch(POCKETS::contains)) {
            return Optional.of(RouterKind.POCKET);
        }
        if (words.stream().anyMatch(CARVINGS::contains)) {
            return Optional.of(RouterKind.CARVE);
        }
        if (words.contains("EDGE") && !feature.isClosed()) {
            return Optional.of(RouterKind.EDGE_DRILL);
        }
        return RouterKind.deeds().stream()
                .filter(k -> words.contains(k.name()) || words.contains(k.name() + "S"))
                .findFirst();
    }

    private RouterKind hole(double diameter) {
        boolean drilled =
                tools.stream()
                        .anyMatch(
                                t ->
                                        t.kind().isDrill()
                                                && Math.abs(t.diameter() - diameter) <= NEAR);
        if (drilled) {
            return RouterKind.DRILL;
        }
        return diameter <= BORED ? RouterKind.BORE : RouterKind.CONTOUR;
    }

    /** How large tabs are, where there are some. */
    static RouterChoice tabs(double thickness) {
        return RouterChoice.NOTHING
                .with(WishValues.TAB_WIDTH, text(TAB_WIDTH))
                .with(WishValues.TAB_HEIGHT, text(Math.min(TAB_HEIGHT, thickness / 3)));
    }

    /** Tabs for what suction may not hold. */
    private RouterChoice tabbed(Feature feature, RouterChoice values) {
        RouterChoice sized = values.over(tabs(thickness));
        boolean through = values.get(WishValues.DEPTH).filter("through"::equals).isPresent();
        if (!through || feature.area() >= HELD) {
            return sized;
        }
        double length = feature.chain().length();
        int most = (int) Math.max(1, length / CLOSEST_TABS);
        int count = Math.max(LEAST_TABS, (int) Math.ceil(length / TAB_SPACING));
        return sized.with(WishValues.TAB_COUNT, String.valueOf(Math.min(most, count)));
    }
}
