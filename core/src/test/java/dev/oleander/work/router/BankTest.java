package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.router.book.Bank;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** A side of a locker with two rows of holes for pins, drilled by the bank of the machine. */
class BankTest {

    private static final int COLUMNS = 10;

    private static final Wish PINS =
            JsonMapper.shared()
                    .readValue(
                            """
                            {"id": "pins", "kind": "drill", "tool": 8, "depth": "9",
                             "on": {"diameter": 5}}
                            """,
                            Wish.class);

    private static List<Point> places() {
        List<Point> places = new ArrayList<>();
        for (double y : new double[] {60, 240}) {
            for (int i = 0; i < COLUMNS; i++) {
                places.add(new Point(80 + 32 * i, y));
            }
        }
        // one that stands alone
        places.add(new Point(61, 133));
        return places;
    }

    private static RouterRun run(RouterChoice pins) {
        Drawn side = new Drawn().rectangle(20, 20, 460, 260);
        places().forEach(p -> side.circle(p.x(), p.y(), 2.5));
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.of(PINS), true)
                        .withAll(pins)
                        .withBlock(new Block(500.0, 300.0, null, null, null));
        return RouterJobs.run(RouterJobs.task(side.reading(), choices, "birch plywood", 18, 1));
    }

    private static RouterStop pins(RouterRun run) {
        return run.plan().done().get(0);
    }

    private static final RouterRun BANK = run(RouterChoice.NOTHING);
    private static final RouterRun ALONE = run(RouterChoice.NOTHING.with("bank", "no"));

    private static long plunges(Program program) {
        return program.items().stream().filter(Item.Plunge.class::isInstance).count();
    }

    @Test
    void rowsTakeAStrokeForFiveHoles() {
        assertThat(BANK.run().refused()).isEmpty();
        assertThat(BANK.faults()).isEmpty();
        RouterStop stop = pins(BANK);
        assertThat(stop.figures().strokes()).hasSize(5);
        assertThat(stop.figures().visits()).containsExactlyInAnyOrderElementsOf(places());
        assertThat(plunges(BANK.program())).isEqualTo(5);
        assertThat(plunges(ALONE.program())).isEqualTo(21);
        assertThat(pins(ALONE).figures().strokes()).isEmpty();
        assertThat(BANK.timeline(Progress.NONE).total())
                .isLessThan(ALONE.timeline(Progress.NONE).total());
    }

    /** The material is what it is without the bank, at the end and for whole strokes before. */
    @Test
    void everyHoleIsThere() {
        for (Point place : places()) {
            assertThat(BANK.depths().at(place).depth()).isCloseTo(9, within(1e-9));
        }
        assertThat(BANK.volume(pins(BANK).id())).isEqualTo(ALONE.volume(pins(ALONE).id()));
        assertThat(BANK.difference().rests()).isEmpty();
        double total = BANK.timeline(Progress.NONE).total();
        int before = 0;
        for (int i = 1; i < 400; i++) {
            int drilled = 0;
            for (Point place : places()) {
                drilled += BANK.depthAt(place, total * i / 400).depth() > 8.9 ? 1 : 0;
            }
            assertThat(drilled).isGreaterThanOrEqualTo(before);
            assertThat(drilled - before).isIn(0, 1, 5);
            before = drilled;
        }
        assertThat(before).isEqualTo(21);
    }

    @ParameterizedTest
    @ValueSource(strings = {"hazel", "iso6983", "iso3592", "moves"})
    void strokesAreWrittenAndReadBack(String format) {
        var dialect = DialectLibrary.shipped().find(format).orElseThrow();
        CheckedWriter.Checked checked =
                new CheckedWriter(dialect)
                        .write(BANK.posted().program(), Samples.FRAME, BANK.stopNames());
        assertThat(checked.faults()).isEmpty();
        Program read = new DialectReader(dialect).read(checked.written().text()).program();
        assertThat(BANK.recheck(read, Optional.empty()).faults()).isEmpty();
        assertThat(chosen(read)).isEqualTo(chosen(BANK.program()));
    }

    private static List<Double> chosen(Program program) {
        return program.items().stream()
                .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.DRILLS)
                .map(i -> ((Item.Event) i).args().get("drills"))
                .toList();
    }

    @Test
    void drillsOfABankMayBeAlike() {
        List<Finding> findings =
                Prover.withAllRules().prove(BANK.proofInput(), Map.of()).findings();
        assertThat(findings).noneMatch(f -> f.rule().equals("station"));
    }

    @Test
    void aTrialOfOneStopChoosesItsDrills() {
        String id = pins(BANK).id();
        assertThat(BANK.recheck(BANK.program(), Optional.of(Set.of(id))).faults()).isEmpty();
        assertThat(chosen(BANK.program())).endsWith(0.0).hasSizeGreaterThan(1);
    }

    @Test
    void slotsHavePositionsOfTheirOwn() {
        assertThatThrownBy(() -> new Bank(List.of(new Bank.Slot(8, 0, 0), new Bank.Slot(8, 32, 0))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("position of its own");
        Bank bank = new Bank(List.of(new Bank.Slot(3, 10, 5), new Bank.Slot(4, 42, 5)));
        assertThat(bank.places(3)).containsExactly(Point.ORIGIN, new Point(32, 0));
        assertThat(bank.places(2)).containsExactly(Point.ORIGIN);
        assertThat(bank.places(0)).isEmpty();
    }
}
