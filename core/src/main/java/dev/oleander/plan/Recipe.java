package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;

/**
 * A way to cut a kind of feature.
 *
 * @param name for people
 * @param rule which features it is for
 * @param choice what it says; what it leaves open is as usual
 */
public record Recipe(String name, Rule rule, StopChoice choice) {

    /** Kinds of features, as a person sorts them. */
    public enum Kind {
        /** a round opening */
        HOLE("hole"),
        /** a slot, keyhole or other opening that is not round */
        OPENING("opening"),
        OUTLINE("outline"),
        /** an open line */
        LINE("line"),
        ANY("anything");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
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
