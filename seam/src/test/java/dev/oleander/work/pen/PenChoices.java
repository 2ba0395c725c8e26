package dev.oleander.work.pen;

import dev.oleander.plan.Choices;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import java.util.List;
import java.util.Map;

/** What people decide about a drawing with a pen. */
record PenChoices(
        RunChoices run,
        Map<String, PenChoice> stops,
        List<Recipe<PenChoice>> recipes,
        Map<String, String> given)
        implements Choices<PenChoices, PenChoice> {

    static final PenChoices USUAL = new PenChoices(RunChoices.USUAL, Map.of(), List.of(), Map.of());

    @Override
    public PenChoice nothing() {
        return PenChoice.NOTHING;
    }

    @Override
    public PenChoices with(Decisions<PenChoice> to) {
        return new PenChoices(to.run(), to.stops(), to.recipes(), to.given());
    }
}
