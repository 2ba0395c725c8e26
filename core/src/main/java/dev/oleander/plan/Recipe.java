package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.quantity.Numbers;
import java.util.Objects;

/**
 * A saved way to work a kind of feature.
 *
 * @param name for people
 * @param rule which features it is for by itself
 * @param choice what it says; what it leaves open is as usual
 * @param order word of the rule of order that a job takes up with it; empty: as the job has it
 */
public record Recipe<S extends Choice<S>>(String name, Rule rule, S choice, String order) {

    public Recipe {
        rule = Objects.requireNonNullElse(rule, Rule.BY_HAND);
        order = Objects.requireNonNullElse(order, "");
    }

    public Recipe(String name, Rule rule, S choice) {
        this(name, rule, choice, "");
    }

    /**
     * Which features a recipe is for.
     *
     * @param kind word of a kind of feature, as the kind of work sorts them; {@link #ANYTHING} for
     *     all, empty: only those it is given to by hand
     * @param over mm; the size must be at least this; null: no limit
     * @param below mm; the size must be less than this; null: no limit. The size of a round feature
     *     is its diameter, that of others the shorter side of their box
     */
    public record Rule(String kind, Double over, Double below) {

        public static final String ANYTHING = "anything";

        public static final Rule BY_HAND = new Rule("", null, null);

        public Rule {
            kind = Objects.requireNonNullElse(kind, "");
        }

        public boolean fits(Feature feature, String itsKind) {
            boolean kindFits = kind.equals(ANYTHING) || kind.equals(itsKind);
            double size = size(feature);
            return kindFits && (over == null || size >= over) && (below == null || size < below);
        }

        /**
         * In words: holes from 4 to below 8 mm.
         *
         * @param kinds what features of the kind are called
         */
        public String sentence(String kinds) {
            if (equals(BY_HAND)) {
                return "given by hand";
            }
            String from = over == null ? "" : " from " + Numbers.length(over);
            String to = below == null ? "" : " below " + Numbers.length(below);
            return kinds + from + to;
        }

        private static double size(Feature feature) {
            double shorter =
                    Math.min(feature.chain().box().width(), feature.chain().box().height());
            return feature.circleDiameter().orElse(shorter);
        }
    }
}
