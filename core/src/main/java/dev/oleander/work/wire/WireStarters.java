package dev.oleander.work.wire;

import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.work.Starter;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireOrder;
import java.util.List;

/** Recipes for the wire that new shops begin with. */
final class WireStarters {

    private static final SlugChoice HELD = SlugChoice.NOTHING.withHandling(SlugHandling.HOLD_LATER);

    static final List<Starter<WireChoice>> ALL =
            List.of(
                    starter(
                            "Die openings, held and cut off later",
                            new Rule(WireKind.OPENING.word(), null, null),
                            HELD,
                            WireOrder.UNATTENDED_FIRST.word()),
                    starter(
                            "Punches, held and finished all round",
                            new Rule(WireKind.PUNCH.word(), null, null),
                            HELD.withStop(HoldStop.ALWAYS).withOffSkims(true),
                            ""),
                    starter(
                            "Small openings without a slug",
                            Rule.BY_HAND,
                            SlugChoice.NOTHING.withHandling(SlugHandling.CORELESS),
                            ""));

    private WireStarters() {}

    private static Starter<WireChoice> starter(
            String name, Rule rule, SlugChoice slug, String order) {
        WireChoice choice = WireChoice.NOTHING.withSlug(slug);
        return new Starter<>("", new Recipe<>(name, rule, choice, order));
    }
}
