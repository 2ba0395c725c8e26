package dev.oleander.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Prover;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ProgressTest {

    private static final Reading READING = Samples.reading("sheave_cheek_plate");
    private static final CutBook BOOK = Samples.BOOK;

    private static Run plan(Progress progress) {
        return new SheetPlanner(Samples.TEASEL, BOOK)
                .plan(
                        READING,
                        new SheetPlanner.Order("mild steel", 6, 8),
                        PlanChoices.defaults(),
                        SheetChoices.defaults(),
                        progress)
                .run();
    }

    @Test
    void aStretchCountsFromNoughtToOneItself() {
        List<Double> told = new ArrayList<>();
        Progress whole = (done, doing) -> told.add(done);
        Progress second = whole.within(0.5, 0.75);
        second.at(0, "a");
        second.at(0.5, "b");
        second.within(0.5, 1).at(1, "c");
        assertThat(told).containsExactly(0.5, 0.625, 0.75);
    }

    @Test
    void planningAndProvingTellHowFarTheyAre() {
        List<Double> told = new ArrayList<>();
        List<String> words = new ArrayList<>();
        Progress listening =
                (done, doing) -> {
                    told.add(done);
                    words.add(doing);
                };
        Run run = plan(listening);
        assertThat(told).isSorted().allMatch(d -> d >= 0 && d <= 1);
        assertThat(words).contains("Placing leads", "Ordering the stops");
        told.clear();
        words.clear();
        Prover.withAllRules()
                .prove(SheetProof.input(READING, run, Samples.time(run)), Map.of(), listening);
        assertThat(told).isSorted().hasSizeGreaterThan(5);
        assertThat(words).allMatch(w -> w.startsWith("Proving that "));
    }

    @Test
    void bothStopWhenToldTo() {
        Progress stopping =
                (done, doing) -> {
                    throw new CancelledException();
                };
        assertThatThrownBy(() -> plan(stopping)).isInstanceOf(CancelledException.class);
        Run run = plan(Progress.NONE);
        ProofInput input = SheetProof.input(READING, run, Samples.time(run));
        assertThatThrownBy(() -> Prover.withAllRules().prove(input, Map.of(), stopping))
                .isInstanceOf(CancelledException.class);
    }
}
