package dev.oleander.drawing.draw;

import java.util.List;

/**
 * A command of drawing.
 *
 * @param word it is kept and called by
 * @param label what people read
 * @param group heading under which it is offered
 * @param targets how many entities it works on
 * @param deed does it; throws {@link DrawException} when it cannot be done
 */
public record Command(
        String word,
        String label,
        Group group,
        Targets targets,
        List<Parameter> parameters,
        Deed deed) {

    public Command {
        parameters = List.copyOf(parameters);
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
