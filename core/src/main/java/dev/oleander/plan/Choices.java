package dev.oleander.plan;

import dev.oleander.drawing.revise.Carrying;

/**
 * What people decided about the work of a job on machines of one kind.
 *
 * @param <C> itself
 */
public interface Choices<C extends Choices<C>> {

    /** What was decided about the run as a whole. */
    RunChoices run();

    C withRun(RunChoices value);

    /** The same for a new version of the drawing. */
    C carried(Carrying to);
}
