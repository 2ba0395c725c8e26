package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.quantity.Numbers;

/**
 * A way to cut a kind of feature.
 *
 * @param name for people
 * @param rule which features it is for; null: only those it is given to by hand
 * @param choice what it says; what it leaves open is as usual
 */
public record Recipe(String name, Rule rule, StopChoice choice) {

    /** Kinds of features, as a person sorts them. */
    public enum Kind {
        /** a round opening */
        HOLE("hole", "holes"),
        /** a slot, keyhole or other opening that is not round */
        OPENING("opening", "other openings"),
        OUTLINE("outline", "outlines"),
        /** an open line */
        LINE("line", "open lines"),
        ANY("anything", "anything");

        private final String word;
        private final String plural;

        Kind(String word, String plural) {
            this.word = word;
            this.plural = plural;
        }

        public String plural() {
            return plural;
        }

        public String word() {
            return word;
        }
    }

    /** Whether it is for a feature by its rule. */
    public boolean fits(Feature feature) {
        return rule != null && rule.fits(feature);
    }

    /**
     * Which features a recipe is for.
     *
     * @param over mm; the size must be at least this; null: no limit
     * @param below mm; the size must be less than this; null: no limit. The size of a hole is its
     *     diameter, that of others the shorter side of their box
     */
    public record Rule(Kind kind, Double over, Double below) {

        public boolean fits(Feature feature) {
            boolean kindFits = kind == Kind.ANY || kind == kindOf(feature);
            double size = size(feature);
            return kindFits && (over == null || size >= over) && (below == null || size < below);
        }

        /** In words: holes from 4 to below 8 mm. */
        public String sentence() {
            String from = over == null ? "" : " from " + Numbers.length(over);
            String to = below == null ? "" : " below " + Numbers.length(below);
            return kind.plural() + from + to;
        }

        private static double size(Feature feature) {
            double shorter =
                    Math.min(feature.chain().box().width(), feature.chain().box().height());
            return feature.circleDiameter().orElse(shorter);
        }
    }

    /** What a feature counts as. */
    public static Kind kindOf(Feature feature) {
        return switch (feature.kind()) {
            case OUTLINE -> Kind.OUTLINE;
            case OPENING -> feature.circleDiameter().isPresent() ? Kind.HOLE : Kind.OPENING;
            case OPEN -> Kind.LINE;
        };
    }
}
