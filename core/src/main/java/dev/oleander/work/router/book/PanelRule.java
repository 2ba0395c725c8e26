package dev.oleander.work.router.book;

import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.quantity.Numbers;
import java.util.Locale;
import java.util.Objects;
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
 * @param depthFrom least depth of what is blind; through is as deep as the panel is thick
 * @param depthTo the greatest
 * @param form line or area
 * @param stock material of the panel
 * @param thinnest panel
 * @param thickest panel
 * @param shown seen or unseen: whether the face it lies on will be seen
 * @param operation how it is made, such as drill
 * @param tool its number; 0: one that can is found
 * @param values of the operation besides: tabs.count=3; stepDown=D/2; of pockets rest=2: more mm2
 *     than that which a wide tool leaves are cut with a narrow one
 * @param rank what has a lower one is made before it; 0: none
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
        double depthFrom,
        double depthTo,
        String form,
        String stock,
        double thinnest,
        double thickest,
        String shown,
        String operation,
        int tool,
        String values,
        int rank)
        implements BookRow {

    /** Asks for nothing. */
    public static final String ANY = "any";

    /** Word of how much a tool may leave of a pocket. */
    public static final String REST = "rest";

    private static final double ROUNDED = 1e-6;

    public PanelRule {
        // rules that were changed before these conditions came ask for nothing
        stock = Objects.requireNonNullElse(stock, ANY);
        shown = Objects.requireNonNullElse(shown, ANY);
    }

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

    /**
     * The condition that a feature of a panel fails, a few words; empty when it fits.
     *
     * @param material of the panel, as the book calls it
     */
    public Optional<String> whyNot(PanelFeature feature, Panel panel, String material) {
        if (!(stock.equals(ANY) || stock.equalsIgnoreCase(material))) {
            return Optional.of("it is of " + material);
        }
        return whyNot(feature).or(() -> depth(feature, panel)).or(() -> whyNot(panel, feature));
    }

    private Optional<String> whyNot(Panel panel, PanelFeature feature) {
        String seen = panel.show().contains(feature.face()) ? "seen" : "unseen";
        return asks(shown, seen)
                ? within(thinnest, thickest, panel.size().thickness(), "the panel's ")
                : Optional.of("its face is " + seen);
    }

    private Optional<String> depth(PanelFeature feature, Panel panel) {
        double deep = feature.through() ? panel.size().thickness() : feature.depth();
        return within(depthFrom, depthTo, deep, "depth ");
    }

    private Optional<String> whyNot(PanelFeature feature) {
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
        return asks(form, drawn)
                ? within(from, to, across(feature), "")
                : Optional.of("it is drawn as a " + drawn);
    }

    /**
     * @param least 0: anything
     * @param most 0: anything
     */
    private static Optional<String> within(double least, double most, double size, String what) {
        if (least > 0 && size < least - ROUNDED) {
            return Optional.of("%s%s is less than %s".formatted(what, mm(size), mm(least)));
        }
        return most > 0 && size > most + ROUNDED
                ? Optional.of("%s%s is more than %s".formatted(what, mm(size), mm(most)))
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
