package dev.oleander.work.sheet;

import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.quantity.Typed;
import dev.oleander.work.Starter;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.CutKind;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import java.util.List;

/** Recipes for sheets that new shops begin with. */
final class SheetStarters {

    private static final StopChoice NOTHING = StopChoice.NOTHING;

    static final List<Starter<StopChoice>> ALL =
            List.of(
                    starter(
                            "",
                            "Two tabs on small parts",
                            new Rule(CutKind.OUTLINE.word(), null, 40.0),
                            NOTHING.withTabs(TabChoice.NOTHING.withCount(Typed.of(2)))),
                    starter(
                            "",
                            "Holes closed with a longer over-run",
                            new Rule(CutKind.HOLE.word(), null, null),
                            NOTHING.withOverRun(Typed.of(1.5))),
                    starter(
                            "laser",
                            "Film burnt off first",
                            new Rule(Rule.ANYTHING, null, null),
                            NOTHING.withFilm(true)),
                    starter(
                            "laser",
                            "Sharp corners through the scrap",
                            new Rule(CutKind.OUTLINE.word(), null, null),
                            NOTHING.withCorners(CornerForm.LOOP)),
                    starter(
                            "plasma",
                            "Outlines left on a straight lead-out",
                            new Rule(CutKind.OUTLINE.word(), null, null),
                            NOTHING.withLeadOut(
                                    LeadChoice.NOTHING
                                            .withKind(LeadKind.LINE)
                                            .withLength(Typed.of(4)))),
                    starter(
                            "waterjet",
                            "Thick soft stock in three passes",
                            new Rule(Rule.ANYTHING, null, null),
                            NOTHING.withPasses(Typed.of(3))));

    private SheetStarters() {}

    private static Starter<StopChoice> starter(
            String process, String name, Rule rule, StopChoice choice) {
        return new Starter<>(process, new Recipe<>(name, rule, choice));
    }
}
