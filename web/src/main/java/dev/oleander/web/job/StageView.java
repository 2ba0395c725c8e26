package dev.oleander.web.job;

import dev.oleander.web.job.store.Stage;
import java.util.List;

/**
 * What a stage still needs, in words.
 *
 * @param sentence the one line shown under the stage
 * @param needs what a person has to do, most urgent first
 */
public record StageView(Stage stage, State state, String sentence, List<String> needs) {

    /** Whether a stage stands in the way. */
    public enum State {
        /** nothing to do */
        READY,
        /** a person has to do something */
        NEEDS,
        /** an earlier stage has to be done first, or nothing was made yet */
        OPEN,
        /** Oleander is at it */
        WORKING
    }

    static StageView ready(Stage stage, String sentence) {
        return new StageView(stage, State.READY, sentence, List.of());
    }

    static StageView open(Stage stage, String sentence) {
        return new StageView(stage, State.OPEN, sentence, List.of());
    }

    static StageView working(Stage stage, String sentence) {
        return new StageView(stage, State.WORKING, sentence, List.of());
    }

    static StageView needs(Stage stage, String sentence, List<String> needs) {
        return new StageView(stage, State.NEEDS, sentence, List.copyOf(needs));
    }

    public boolean isReady() {
        return state == State.READY;
    }
}
