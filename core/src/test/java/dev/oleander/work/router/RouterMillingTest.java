package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.Excerpt;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.value.Entry;
import dev.oleander.value.Source;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.work.Task;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterStop;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The router as a kind of work like the others. */
class RouterMillingTest {

    private static final RouterMilling ROUTER = RouterMilling.ROUTER;

    /** A plate with a hole for a drill, one to bore, a recess by its layer, and a loose line. */
    private static Reading plate() {
        return new Drawn()
                .rectangle(0, 0, 200, 120)
                .circle(30, 30, 2.5)
                .circle(60, 30, 2.5)
                .circle(100, 60, 11)
                .reading();
    }

    private static RouterRun plan(Reading reading, RouterChoices choices, int quantity) {
        return RouterJobs.run(RouterJobs.task(reading, choices, "birch plywood", 12, quantity));
    }

    private static Map<String, List<Stop>> byDeed(RouterRun run) {
        return run.run().stops().stream().collect(Collectors.groupingBy(s -> s.head().deed()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "instrument_panel",
                "hatch_boards",
                "sole_board",
                "jar_rack",
                "drain_board",
                "hatch_bevel",
                "name_board_star",
                "capstan_rim"
            })
    void whatIsRequestedIsPlannedWrittenAndReadBack(String name) {
        RouterRun run = RouterJobs.requested(name);
        assertThat(run.run().refused()).isEmpty();
        JsonNode truth = RouterJobs.truth(name);
        List<String> operations = new ArrayList<>();
        truth.at("/request/operations").forEach(o -> operations.add(o.get("id").asString()));
        assertThat(byDeed(run).keySet()).containsExactlyInAnyOrderElementsOf(operations);
        JsonNode least = truth.at("/totals/leastToolChanges");
        if (least.isNumber()) {
            assertThat(RouterOrder.toolChanges(run.plan().stops()))
                    .isLessThanOrEqualTo(least.asInt());
        }
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow())
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isLessThan(2e-3);
        assertThat(run.recheck(run.posted().program(), Optional.empty()).faults()).isEmpty();
        assertThat(run.faults()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "instrument_panel",
                "hatch_boards",
                "sole_board",
                "jar_rack",
                "drain_board",
                "name_board_star",
                "capstan_rim"
            })
    void volumesAreThoseOfOtherCode(String name) {
        RouterRun run = RouterJobs.requested(name);
        int compared = 0;
        JsonNode figures = RouterJobs.truth(name).get("figures");
        for (Map.Entry<String, List<Stop>> of : byDeed(run).entrySet()) {
            JsonNode truth = figures.path(of.getKey()).path("removedVolume");
            if (truth.has("value")) {
                double each =
                        truth.path("each").asBoolean(false)
                                ? figures.at("/" + of.getKey() + "/features/value").asDouble(1)
                                : 1;
                double volume =
                        of.getValue().stream()
                                .mapToDouble(s -> run.volume(s.id()).orElseThrow())
                                .sum();
                assertThat(volume)
                        .as(of.getKey())
                        .isCloseTo(
                                each * truth.get("value").asDouble(),
                                within(each * truth.get("tol").asDouble()));
                compared++;
            }
        }
        assertThat(compared).isPositive();
    }

    /** A pocket with islands, to and fro: nothing is left that the tool reaches, nothing gouged. */
    @ParameterizedTest
    @CsvSource({"0, 0.45", "90, 0.7", "37.5, 0.9"})
    void aPocketIsClearedToAndFro(String angle, String over) {
        JsonNode truth = RouterJobs.truth("instrument_panel");
        Reading reading = Samples.reading("router/instrument_panel");
        String recess =
                reading.features().stream()
                        .filter(f -> f.layer().equals("RECESS"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        RouterChoices choices =
                RouterJobs.wished(truth.get("request"))
                        .withStop(
                                recess + "-recess",
                                RouterChoice.NOTHING
                                        .with("manner", "zigzag")
                                        .with("angle", angle)
                                        .with("stepOver", over));
        RouterRun run = RouterJobs.run(RouterJobs.task(reading, choices, "birch plywood", 12, 1));
        assertThat(run.run().refused()).isEmpty();
        Stop stop = byDeed(run).get("recess").get(0);
        RouterStop of = run.plan().stop(stop.id()).orElseThrow();
        assertThat(of.figures().between()).isLessThan(0.02);
        assertThat(of.figures().rest())
                .isCloseTo(truth.at("/figures/recess/restArea/value").asDouble(), within(0.01));
        assertThat(run.difference().gouge()).isEmpty();
        assertThat(run.difference().rests())
                .as("but for the corners that the small tool does not reach either")
                .allSatisfy(r -> assertThat(r.area()).isCloseTo(3.43, within(0.1)));
        assertThat(run.faults()).isEmpty();
        double longest =
                of.legs().stream()
                        .filter(l -> l.cuts() && l.segment().isPresent())
                        .mapToDouble(l -> l.length())
                        .max()
                        .orElseThrow();
        assertThat(longest).as("lines across").isGreaterThan(60);
    }

    @Test
    void idsOfStopsAreUniqueAndSayWhatIsDone() {
        RouterRun run = RouterJobs.requested("instrument_panel");
        Set<String> ids = new HashSet<>();
        run.run().stops().forEach(s -> assertThat(ids.add(s.id())).as(s.id()).isTrue());
        Stop rest = byDeed(run).get("corners").get(0);
        assertThat(rest.id()).isEqualTo(rest.feature() + ".1-corners");
        assertThat(rest.subject()).isEqualTo(rest.id());
        assertThat(rest.subjectOfAll()).isEqualTo(rest.feature() + "-corners");
        assertThat(rest.name()).startsWith("corners: Rest");
    }

    @Test
    void whatNobodySaysFollowsFromTheDrawing() {
        RouterRun run = plan(plate(), RouterChoices.NOTHING, 1);
        assertThat(run.run().refused()).isEmpty();
        List<String> names = run.run().stops().stream().map(Stop::name).toList();
        assertThat(names).containsExactlyInAnyOrder("2 holes Ø 5", "Bored hole Ø 22", "Outline");
        assertThat(names.get(2)).as("what frees the plate comes last").isEqualTo("Outline");
        Stop outline = run.run().stops().get(2);
        assertThat(outline.tabs()).hasSize(3);
        assertThat(outline.passes()).hasSizeGreaterThan(1);
        assertThat(outline.sources())
                .containsEntry("depth", Source.READING)
                .containsEntry("tool", Source.FOUND);
        assertThat(Prover.withAllRules().prove(run.proofInput(), Map.of()).findings())
                .filteredOn(Finding::blocks)
                .isEmpty();
    }

    @Test
    void aValueSetForAFeatureHoldsThereAlone() {
        RouterRun before = plan(plate(), RouterChoices.NOTHING, 1);
        Stop bore =
                before.run().stops().stream()
                        .filter(s -> s.name().startsWith("Bore"))
                        .findFirst()
                        .orElseThrow();
        RouterChoices choices =
                RouterChoices.NOTHING.withStop(
                        bore.subjectOfAll(), RouterChoice.NOTHING.with("depth", "T/2"));
        RouterRun after = plan(plate(), choices, 1);
        Stop changed = after.run().stop(bore.id()).orElseThrow();
        assertThat(changed.sources()).containsEntry("depth", Source.HERE);
        assertThat(after.plan().stop(bore.id()).orElseThrow().wanted().depth())
                .isCloseTo(6, within(1e-9));
        assertThat(after.run().stops()).hasSameSizeAs(before.run().stops());
        RouterRun left =
                plan(
                        plate(),
                        RouterChoices.NOTHING.withStop(
                                bore.subjectOfAll(), RouterChoice.NOTHING.with("work", "leave")),
                        1);
        assertThat(left.run().stops()).hasSize(2);
    }

    @Test
    void valuesOfAnOperationAreSetForOneOfItsFeatures() {
        JsonNode request = RouterJobs.truth("hatch_boards").get("request");
        RouterChoices wished = RouterJobs.wished(request);
        Reading reading = Samples.reading("router/hatch_boards");
        RouterRun before = RouterJobs.run(RouterJobs.task(reading, wished, "iroko", 18, 1));
        Stop first = byDeed(before).get("fingers").get(0);
        RouterRun after =
                RouterJobs.run(
                        RouterJobs.task(
                                reading,
                                wished.withStop(
                                        first.subjectOfAll(),
                                        RouterChoice.NOTHING.with("allowance", "0.4")),
                                "iroko",
                                18,
                                1));
        List<Stop> fingers = byDeed(after).get("fingers");
        assertThat(fingers).hasSameSizeAs(byDeed(before).get("fingers"));
        assertThat(fingers)
                .filteredOn(s -> s.sources().get("allowance") == Source.HERE)
                .extracting(Stop::id)
                .containsExactly(first.id());
        List<Finding> findings =
                Prover.withAllRules().prove(after.proofInput(), Map.of()).findings();
        assertThat(findings)
                .as("the allowance that was left is seen")
                .anyMatch(f -> f.rule().equals("rest") && f.stop().equals(first.id()));
    }

    @Test
    void copiesAreWorkedWithAsFewChangesAsOne() {
        RouterRun one = plan(plate(), RouterChoices.NOTHING, 1);
        RouterRun six = plan(plate(), RouterChoices.NOTHING, 6);
        assertThat(six.run().stops()).hasSize(6 * one.run().stops().size());
        assertThat(RouterOrder.toolChanges(six.plan().stops()))
                .isEqualTo(RouterOrder.toolChanges(one.plan().stops()));
        RouterChoices byCopy = RouterChoices.NOTHING.withRun(RunChoices.USUAL.by("copyByCopy"));
        RouterRun slow = plan(plate(), byCopy, 6);
        List<Integer> copies = slow.run().stops().stream().map(Stop::copy).distinct().toList();
        assertThat(copies).containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(RouterOrder.toolChanges(slow.plan().stops())).isGreaterThan(6);
        assertThat(six.faults()).isEmpty();
        assertThat(six.difference().rests()).isEmpty();
        assertThat(six.difference().gouge()).isEmpty();
    }

    @Test
    void anOrderByHandIsKeptAsFarAsItIsPossible() {
        RouterRun usual = plan(plate(), RouterChoices.NOTHING, 1);
        List<String> ids = new ArrayList<>(usual.run().stops().stream().map(Stop::id).toList());
        Collections.swap(ids, 0, 1);
        RouterChoices byHand = RouterChoices.NOTHING.withRun(RunChoices.USUAL.inSequence(ids));
        RouterRun moved = plan(plate(), byHand, 1);
        assertThat(moved.run().stops()).extracting(Stop::id).containsExactlyElementsOf(ids);
        Collections.reverse(ids);
        RouterRun never =
                plan(plate(), RouterChoices.NOTHING.withRun(RunChoices.USUAL.inSequence(ids)), 1);
        assertThat(never.run().stops().get(2).name()).isEqualTo("Outline");
    }

    @Test
    void oneStopIsATrial() {
        RouterRun run = plan(plate(), RouterChoices.NOTHING, 1);
        String bore =
                run.run().stops().stream()
                        .filter(s -> s.name().startsWith("Bore"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        Excerpt trial = Excerpt.of(run.timeline(Progress.NONE).program(), bore::equals, true);
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow())
                        .write(trial.program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(run.recheck(trial.program(), Optional.of(Set.of(bore))).faults()).isEmpty();
    }

    @Test
    void theZeroIsWrittenWhereItIsWished() {
        RouterChoices onTable = RouterChoices.NOTHING.withZero(new RouterZero("centre", "table"));
        RouterRun run = plan(plate(), onTable, 1);
        assertThat(run.run().layout().stock().centre().distance(dev.oleander.geometry.Point.ORIGIN))
                .isLessThan(1e-9);
        double planned = lowest(run.timeline(Progress.NONE).program());
        assertThat(planned).isCloseTo(-12.3 - tip(run), within(0.01));
        assertThat(lowest(run.posted().program())).isCloseTo(planned + 12, within(1e-9));
        assertThat(run.recheck(run.posted().program(), Optional.empty()).faults()).isEmpty();
    }

    private static double tip(RouterRun run) {
        return run.plan().toolsInUse().stream()
                .mapToDouble(t -> t.kind().isDrill() ? t.form().tipLength() : 0)
                .max()
                .orElse(0);
    }

    private static double lowest(dev.oleander.motion.Program program) {
        return program.items().stream()
                .filter(i -> !(i instanceof dev.oleander.motion.Item.Event))
                .mapToDouble(i -> i.rise().to().z())
                .min()
                .orElseThrow();
    }

    @Test
    void aDrawingThatDoesNotLieOnItsStockIsRefused() {
        RouterChoices small =
                RouterChoices.NOTHING.withBlock(new Block(150.0, 200.0, null, null, null));
        assertThatThrownBy(() -> plan(plate(), small, 1))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("200")
                .hasMessageContaining("150");
    }

    @Test
    void aMaterialWithoutDataIsSaidAtEachStop() {
        RouterRun run =
                RouterJobs.run(RouterJobs.task(plate(), RouterChoices.NOTHING, "granite", 12, 1));
        assertThat(run.run().stops())
                .allSatisfy(s -> assertThat(s.refusalSentence().orElseThrow()).contains("granite"));
        List<Finding> findings = Prover.withAllRules().prove(run.proofInput(), Map.of()).findings();
        assertThat(findings).anyMatch(f -> f.severity() == Severity.MUST_FIX);
    }

    @Test
    void valuesSayWhatTheyTakeAndWhatHolds() {
        Task<RouterChoices> task =
                RouterJobs.task(plate(), RouterChoices.NOTHING, "birch plywood", 12, 1);
        RouterRun run = RouterJobs.run(task);
        Stop outline = run.run().stops().get(2);
        Subject<RouterChoice> subject = ROUTER.subjects(task, run, List.of(outline)).get(0);
        assertThat(value("depth").used(subject)).contains("through");
        assertThat(value("tool").used(subject)).contains("1");
        assertThat(value("stepDown").used(subject)).contains("12");
        RouterChoice set =
                value("stepDown").put(RouterChoice.NOTHING, new Entry("D/3", subject.names()));
        assertThat(set.get("stepDown")).contains("D/3");
        assertThatThrownBy(
                        () -> value("work").put(RouterChoice.NOTHING, new Entry("weave", Map.of())))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("weave");
        assertThat(value("tool").form().toString()).isNotEmpty();
    }

    private static Value<RouterChoice> value(String word) {
        return Value.find(ROUTER.stopValues(), word).orElseThrow();
    }
}
