package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RuleHelpTest {

    @Test
    void everyRuleCanBeReadAboutAndNoneThatThereIsNot() {
        List<String> rules = Prover.withAllRules().rules().stream().map(ProofRule::id).toList();
        assertThat(RuleHelp.ids()).containsExactlyInAnyOrderElementsOf(rules);
        for (String rule : rules) {
            RuleHelp help = RuleHelp.of(rule).orElseThrow();
            assertThat(List.of(help.looks(), help.why(), help.remedy(), help.example()))
                    .allMatch(text -> text.length() > 5 && text.strip().endsWith("."));
        }
    }

    /** The example of what a kerf leaves in a square corner, from a drawing. */
    @Test
    void theExampleOfTheCornerIsTrue() {
        Reading square =
                new Drawn().rectangle(0, 0, 200, 200).rectangle(60, 60, 140, 140).reading();
        Machine sorrel = Samples.MACHINES.find("sorrel").orElseThrow();
        Run run =
                new SheetPlanner(sorrel, (CutBook) Samples.MACHINES.book(sorrel))
                        .plan(
                                square,
                                new SheetPlanner.Order("mild steel", 10, 1),
                                PlanChoices.defaults(),
                                SheetChoices.defaults());
        Proof proof =
                Prover.withAllRules()
                        .prove(
                                SheetProof.input(square, run, RunMotion.of(run).timeline()),
                                Map.of());
        Finding corner =
                proof.findings().stream()
                        .filter(f -> f.rule().equals("uncut"))
                        .findFirst()
                        .orElseThrow();
        assertThat(SheetCut.of(run.stops().get(0)).row().orElseThrow().kerf()).isEqualTo(2.2);
        assertThat(RuleHelp.of("uncut").orElseThrow().example())
                .contains(
                        "kerf of 2.2 mm leaves %s mm".formatted(Numbers.plain(corner.value(), 2)));
    }
}
