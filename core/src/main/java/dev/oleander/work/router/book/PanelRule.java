package dev.oleander.work.router.book;

import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.quantity.Numbers;
import java.util.Locale;
import java.util.Optional;

/**
 * How features of panels are made: the first rule that fits a feature says it. Lengths mm; a word
 * that is {@code any}, and a number that is 0, asks for nothing.
 *
 * @param number from 1; rules are tried in their order
 * @param kind of the feature, such as hole
 * @param face top, bottom or edge
 * @param tag what the feature is for
 * @param from least diameter of a hole, or width of what is narrower one way
 * @param to the greatest
 * @param depth blind or through
 * @param form line or area
 * @param operation how it is made, such as drill
 * @param tool its number; 0: one that can is found
 * @param values of the operation besides: tabs.count=3; stepDown=D/2; of pockets rest=2: more mm2
 *     than that which a wide tool leaves are cut with a narrow one
 */
public record PanelRule(
        int number,
        String name,
        String kind,
        String face,
        String tag,
        double from,
        double to,
        String depth,
        String form,
        String operation,
        int tool,
        String values)
        implements BookRow {

    /** Asks for nothing. */
    public static final String ANY = "any";

    /** Word of how much a tool may leave of a pocket. */
    public static final String REST = "rest";

    private static final double ROUNDED = 1e-6;

    /**
     * mm2 that one tool may leave of a pocket; empty: whatever it leaves.
     *
     * @throws CutDataException when it is no number from 0 on
     */
    public Optional<Double> rest() {
        for (String one : values.split(";")) {
            String[] pair = one.strip().split("=", 2);
            if (pair.length == 2 && pair[0].strip().equals(REST)) {
                return Optional.of(area(pair[1].strip()));
            }
        }
        return Optional.empty();
    }

    private double area(String text) {
        try {
            double area = Double.parseDouble(text);
            if (area >= 0) {
                return area;
            }
        } catch (NumberFormatException none) {
            // told below, with what was said
        }
        throw new CutDataException(
                "Rule %d: rest is \"%s\"; it is the mm² that a tool may leave, from 0."
                        .formatted(number, text));
    }

    @Override
    public String id() {
        return String.valueOf(number);
    }

    @Override
    public String label() {
        return "rule " + number;
    }

    /** What rules stand together by: the kind of feature. */
    @Override
    public String material() {
        return kind;
    }

    @Override
    public double thickness() {
        return number;
    }

    /** Whether it is for features of a kind at all. */
    public boolean isFor(FeatureKind of) {
        return kind.equals(ANY) || kind.equals(of.word());
    }

    /** The condition that a feature fails, a few words; empty when it fits. */
    public Optional<String> whyNot(PanelFeature feature) {
        if (!isFor(feature.kind())) {
            return Optional.of("it is for a " + kind);
        }
        String lies = feature.face().isEdge() ? "edge" : feature.face().word();
        if (!asks(face, lies) && !(feature.belongsToNone() && !face.equals("edge"))) {
            return Optional.of("it lies on the " + lies);
        }
        if (!asks(tag.toLowerCase(Locale.ROOT), feature.tag().toLowerCase(Locale.ROOT))) {
            return Optional.of("it is not for a " + tag);
        }
        String deep = feature.through() ? "through" : "blind";
        if (!asks(depth, deep)) {
            return Optional.of("it is " + deep);
        }
        String drawn = isLine(feature) ? "line" : "area";
        return asks(form, drawn) ? size(feature) : Optional.of("it is drawn as a " + drawn);
    }

    private Optional<String> size(PanelFeature feature) {
        double across = across(feature);
        if (from > 0 && across < from - ROUNDED) {
            return Optional.of("%s is less than %s".formatted(mm(across), mm(from)));
        }
        return to > 0 && across > to + ROUNDED
                ? Optional.of("%s is more than %s".formatted(mm(across), mm(to)))
                : Optional.empty();
    }

    private static String mm(double value) {
        return Numbers.plain(value, 2);
    }

    /** Its diameter or width, or the shorter side of the box round it. */
    private static double across(PanelFeature feature) {
        if (feature.isHole()) {
            return feature.diameter();
        }
        return feature.width()
                .orElseGet(() -> Math.min(feature.box().width(), feature.box().height()));
    }

    private static boolean isLine(PanelFeature feature) {
        return feature.area().isEmpty();
    }

    private static boolean asks(String wanted, String given) {
        return wanted.equals(ANY) || wanted.equals(given);
    }
}
