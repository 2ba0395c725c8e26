package dev.oleander.drawing.draw;

import java.util.List;

/**
 * A command of drawing.
 *
 * @param word it is kept and called by
 * @param label what people read
 * @param group heading under which it is offered
 * @param targets how many entities it works on
 * @param shown what is written on a shape
 * @param handling what its steps are taken hold of by
 * @param deed does it; throws {@link DrawException} when it cannot be done
 */
public record Command(
        String word,
        String label,
        Group group,
        Targets targets,
        List<Parameter> parameters,
        List<Shown> shown,
        Handling handling,
        Deed deed) {

    public Command {
        parameters = List.copyOf(parameters);
        shown = List.copyOf(shown);
    }

    /** One on which nothing is written. */
    Command(
            String word,
            String label,
            Group group,
            Targets targets,
            List<Parameter> parameters,
            Deed deed) {
        this(
                word,
                label,
                group,
                targets,
                parameters,
                List.of(),
                new PlaceHandling(parameters),
                deed);
    }

    /** The same with what is written on the shape. */
    Command showing(Shown... sizes) {
        return new Command(word, label, group, targets, parameters, List.of(sizes), handling, deed);
    }

    /** Whether more can be put on a step of it by a click. */
    public boolean takesMore() {
        return handling.takesMore();
    }

    /** The same, taken hold of otherwise than by its places. */
    Command handledBy(Handling other) {
        return new Command(word, label, group, targets, parameters, shown, other, deed);
    }

    /**
     * A value as a dimension on the shape, between two places that are formulas of its values; both
     * are one where a value is a number of something that stands there. The shape lies about its
     * place, not turned.
     */
    public record Shown(String parameter, String x1, String y1, String x2, String y2) {

        /** Along x. */
        static Shown across(String parameter, String x1, String x2, String y) {
            return new Shown(parameter, x1, y, x2, y);
        }

        /** Along y. */
        static Shown up(String parameter, String x, String y1, String y2) {
            return new Shown(parameter, x, y1, x, y2);
        }

        /** At one place. */
        static Shown at(String parameter, String x, String y) {
            return new Shown(parameter, x, y, x, y);
        }
    }

    /** Headings. */
    public enum Group {
        LINES("Lines"),
        FIGURES("Figures"),
        SHAPES("Shapes"),
        CHANGES("Change"),
        COPIES("Move and copy"),
        NOTES("Guides and notes");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** How many entities a command works on. */
    public enum Targets {
        NONE,
        /** none, or the entities of one chain that are selected */
        CHAIN_OR_NONE,
        ONE,
        /** one with a corner, or two that make one */
        ONE_OR_TWO,
        SOME
    }

    /** What a command does. */
    @FunctionalInterface
    interface Deed {
        void apply(Sketch sketch, Args args);
    }
}
