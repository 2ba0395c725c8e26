package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.StopEdits.Scope;
import dev.oleander.web.job.WireEdits;
import dev.oleander.web.job.WireField;
import dev.oleander.web.job.WireJobField;
import dev.oleander.web.job.Wires;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the slips of a wire machine say, and what the table and the view in space draw of it. */
class WireSlipTest extends WebTest {

    @Autowired private WireEdits edits;

    private JobResult set(long job, String stop, WireField field, String text) {
        return jobs.edit(job, "x", edits.set(List.of(stop), Scope.ALL, field, text), person("mira"))
                .result();
    }

    private JobResult setJob(long job, WireJobField field, String text) {
        return jobs.edit(
                        job,
                        "x",
                        b -> b.document().with(WIRE, field.set(b.document().choices(WIRE), text)),
                        person("mira"))
                .result();
    }

    private static WireSlip slip(JobResult result, Stop... stops) {
        return new WireSlip(result, Arrays.asList(stops), EditError.NONE);
    }

    private static Stop first(JobResult result) {
        return result.run().stops().get(0);
    }

    private static FieldView named(List<FieldView> fields, String name) {
        return fields.stream().filter(f -> f.name().equals(name)).findFirst().orElseThrow();
    }

    // ---- values of stops

    @Test
    void everyValueSaysWhereItComesFrom() {
        long job = makeWireJob("shim_punch_die", "Sources", 40);
        WireSlip slip = slip(jobs.view(job).result(), first(jobs.view(job).result()));
        assertThat(slip.kind()).isEqualTo("opening");
        assertThat(slip.finish().text()).isEqualTo("good");
        assertThat(slip.passes().get(0).source()).isEqualTo("book");
        assertThat(slip.lead().text()).isEqualTo("direct");
        assertThat(slip.slug().source()).isEqualTo("found");
        assertThat(named(slip.entry(), "start").source()).isEqualTo("found");
        assertThat(slip.entry()).extracting(FieldView::name).doesNotContain("leadLength");
        assertThat(slip.hole()).startsWith("drawn, X ");
        assertThat(slip.isHoleSet()).isFalse();
    }

    @Test
    void whatWasTypedIsShownWithItsMeaning() {
        long job = makeWireJob("shim_punch_die", "Typed", 40);
        String stop = first(jobs.view(job).result()).id();
        JobResult result = set(job, stop, WireField.HOLD, "2*1.5");
        FieldView hold = named(slip(result, first(result)).holds(), "hold");
        assertThat(hold.text()).isEqualTo("2*1.5");
        assertThat(hold.meaning()).isEqualTo("3");
        assertThat(hold.source()).isEqualTo("here");
        assertThat(hold.here()).isTrue();
    }

    @Test
    void whatIsSetHereSaysSoAndIsPutBack() {
        long job = makeWireJob("shim_punch_die", "Here", 40);
        String stop = first(jobs.view(job).result()).id();
        Map<WireField, String> values = new EnumMap<>(WireField.class);
        values.put(WireField.FINISH, "standard");
        values.put(WireField.PASSES, "2");
        values.put(WireField.ALTERNATE, "false");
        values.put(WireField.COMPENSATION, "path");
        values.put(WireField.DIRECTION, "clockwise");
        values.put(WireField.LEAD, "square");
        values.put(WireField.OVERLAP, "0.5");
        values.put(WireField.BACK_OFF, "0.6");
        values.put(WireField.SLUG, "holds");
        values.put(WireField.HOLD, "3");
        values.put(WireField.HOLD_STOP, "never");
        values.put(WireField.REVERSED, "false");
        values.put(WireField.OFF_SKIMS, "false");
        values.put(WireField.ANGLE, "1");
        values.put(WireField.CORNERS, "cylindrical");
        values.forEach(
                (field, text) -> {
                    Map<String, Source> sources = sources(set(job, stop, field, text), stop);
                    assertThat(sources).containsEntry(field.word(), Source.HERE);
                    assertThat(sources(set(job, stop, field, null), stop).get(field.word()))
                            .as("%s put back", field)
                            .isNotEqualTo(Source.HERE);
                });
    }

    private static Map<String, Source> sources(JobResult result, String stop) {
        return Wires.plan(result).orElseThrow().settings().get(stop).sources();
    }

    @Test
    void fieldsFollowTheHandlingOfTheSlug() {
        long job = makeWireJob("shim_punch_die", "Handling", 40);
        String stop = first(jobs.view(job).result()).id();
        WireSlip coreless = slipAfter(set(job, stop, WireField.SLUG, "coreless"));
        assertThat(coreless.holds()).extracting(FieldView::name).containsExactly("step");
        assertThat(coreless.isHeld()).isFalse();
        assertThat(coreless.mayWait()).isFalse();
        WireSlip several = slipAfter(set(job, stop, WireField.SLUG, "holds"));
        assertThat(several.holds()).extracting(FieldView::name).containsExactly("hold", "holds");
        assertThat(several.isHeld()).isTrue();
        WireSlip last = slipAfter(set(job, stop, WireField.SLUG, "stopBefore"));
        assertThat(named(last.holds(), "hold").label()).isEqualTo("Last");
        assertThat(last.mayWait()).isTrue();
        assertThat(last.slugs()).extracting(Choice::value).contains("coreless", "drop");
    }

    private static WireSlip slipAfter(JobResult result) {
        return slip(result, first(result));
    }

    @Test
    void theDataAreThoseOfThePassesThatAreRun() {
        long job = makeWireJob("shim_punch_die", "Data", 40);
        String stop = first(jobs.view(job).result()).id();
        JobResult two = set(job, stop, WireField.PASSES, "2");
        List<WireSlip.PassRow> rows = slipAfter(two).data();
        assertThat(rows).extracting(WireSlip.PassRow::register).containsExactly("D21", "D22");
        assertThat(rows.get(0).feed()).isEqualTo("2.6");
        assertThat(slipAfter(two).label()).isEqualTo("tool steel 40, good, brass 0.25");
    }

    @Test
    void valuesThatDifferSaySo() {
        long job = makeWireJob("hawse_funnel_die", "Differ", 30);
        JobResult result = jobs.view(job).result();
        Stop[] stops = result.run().stops().toArray(Stop[]::new);
        assertThat(slip(result, stops).finish().mixed()).isFalse();
        JobResult changed = set(job, stops[0].id(), WireField.FINISH, "standard");
        WireSlip all = slip(changed, changed.run().stops().toArray(Stop[]::new));
        assertThat(all.finish().mixed()).isTrue();
        assertThat(all.finish().source()).isEqualTo("differs");
        assertThat(all.finish().text()).isEmpty();
        assertThat(all.hasOneRow()).isFalse();
    }

    // ---- flanks and copies

    @Test
    void leaningFlanksShowWhatBelongsToThem() {
        long job = makeWireJob("shim_punch_die", "Flanks", 40);
        String stop = first(jobs.view(job).result()).id();
        WireFlanksSlip upright = slipAfter(jobs.view(job).result()).flanks();
        assertThat(upright.isLeaning()).isFalse();
        assertThat(upright.land().source()).isEqualTo("none");
        JobResult result = set(job, stop, WireField.ANGLE, "1");
        set(job, stop, WireField.LAND, "8");
        result = set(job, stop, WireField.CORNER_OF, "2");
        WireFlanksSlip flanks = slipAfter(result).flanks();
        assertThat(flanks.isLeaning()).isTrue();
        assertThat(flanks.angle().source()).isEqualTo("here");
        assertThat(flanks.land().text()).isEqualTo("8");
        assertThat(flanks.cornerOf().text()).isEqualTo("2");
        Feature contour = result.reading().byId().get(first(result).feature());
        assertThat(flanks.contour()).hasSameSizeAs(contour.chain().segments());
        assertThat(flanks.contour()).extracting(WireFlanksSlip.Element::angle).contains("1°");
    }

    @Test
    void linesAreShownAsTheyAreTypedAndAsTheyAreDrawn() {
        long job = makeWireJob("hawse_funnel_die", "Lines", 30);
        List<Feature> cut = jobs.view(job).result().reading().cut().toList();
        Feature square =
                cut.stream()
                        .filter(f -> f.chain().segments().size() == 8)
                        .findFirst()
                        .orElseThrow();
        Feature disc =
                cut.stream()
                        .filter(f -> f.circleDiameter().orElse(0) > 20)
                        .findFirst()
                        .orElseThrow();
        String stop = square.id() + ".1";
        set(job, stop, WireField.UPPER, disc.id());
        double lower = square.contour().distanceAt(square.contour().nearest(disc.chain().start()));
        JobResult result = set(job, stop, WireField.LINES, "+%.3f > 0".formatted(lower));
        Stop shown = result.stops().get(stop);
        WireFlanksSlip flanks = slip(result, shown).flanks();
        assertThat(flanks.matching().text()).isEqualTo("lines");
        assertThat(flanks.lines().text()).endsWith("> 0");
        assertThat(flanks.linesDrawn()).matches("[\\d.]+ 0\\.0");
        assertThat(flanks.uppers()).extracting(Choice::value).contains(disc.id());
        assertThat(flanks.uppers()).extracting(Choice::value).doesNotContain(square.id());
    }

    @Test
    void copiesOfAContourShowOnlyWhatApplies() {
        long job = makeWireJob("shim_punch_die", "Copies", 40);
        String stop = first(jobs.view(job).result()).id();
        WireRepeatSlip none = slipAfter(jobs.view(job).result()).repeat();
        assertThat(none.fields())
                .extracting(FieldView::name)
                .containsExactly("columns", "rows", "roundCount");
        assertThat(named(none.fields(), "roundCount").source()).isEqualTo("none");
        WireRepeatSlip row = slipAfter(set(job, stop, WireField.COLUMNS, "2")).repeat();
        assertThat(row.fields()).extracting(FieldView::name).contains("pitchX");
        assertThat(named(row.fields(), "columns").here()).isTrue();
        WireRepeatSlip round = slipAfter(set(job, stop, WireField.ROUND_COUNT, "5")).repeat();
        assertThat(round.isRound()).isTrue();
        assertThat(round.fields())
                .extracting(FieldView::name)
                .containsExactly("roundCount", "roundAngle", "roundCentre");
        assertThat(named(round.fields(), "roundAngle").text()).isEqualTo("72");
        assertThat(named(round.fields(), "roundCentre").text()).isEqualTo("0 0");
        assertThat(round.indexed().text()).isEqualTo("false");
    }

    @Test
    void anErrorStandsAtItsField() {
        long job = makeWireJob("shim_punch_die", "Error", 40);
        JobResult result = jobs.view(job).result();
        EditError error = new EditError("columns", "many", "Columns: \"many\" is not a number.");
        WireSlip slip = new WireSlip(result, List.of(first(result)), error);
        FieldView columns = named(slip.repeat().fields(), "columns");
        assertThat(columns.text()).isEqualTo("many");
        assertThat(columns.error()).contains("is not a number");
        assertThat(named(slip.repeat().fields(), "rows").hasError()).isFalse();
    }

    // ---- the whole job

    @Test
    void whatWaitsAtOnceDoesNotClaimToRunAlone() {
        assertThat(new Unattended(0, 3, 6293, 9000).sentence())
                .isEqualTo("Waits for people at once, 3 times in all; runs 1:44:53 alone at most.");
        assertThat(new Unattended(90, 1, 90, 9000).sentence())
                .isEqualTo("Runs 1:30 alone, then waits once for people.");
    }

    @Test
    void theJobSaysHowLongItRunsAlone() {
        long job = makeWireJob("shim_punch_die", "Alone", 40);
        JobResult result = jobs.view(job).result();
        WireJobSlip slip = new WireJobSlip(result, EditError.NONE);
        assertThat(slip.wires()).contains("brass 0.25", "brass 0.2").hasSizeGreaterThan(2);
        assertThat(OrderSlip.of(result).rule()).isEqualTo("unattendedFirst");
        assertThat(OrderSlip.of(result).rules()).extracting(Choice::value).doesNotContain("byHand");
        Unattended alone = Unattended.of(result);
        assertThat(slip.alone()).isEqualTo(alone.sentence());
        assertThat(alone.waits()).isEqualTo(1);
        assertThat(alone.first() + alone.longest()).isGreaterThan(alone.longest());
        assertThat(alone.total())
                .isCloseTo(
                        result.timeline().total() - result.timeline().seconds().people(),
                        within(1e-9));
        assertThat(slip.toDrill()).isEqualTo(1);
        JobResult dropping = set(job, first(result).id(), WireField.SLUG, "drop");
        assertThat(Unattended.of(dropping).sentence()).endsWith("without people.");
    }

    @Test
    void setsAndCopiesOfTheWholeAreShown() {
        long job = makeWireJob("shim_punch_die", "Whole", 40);
        String contour = first(jobs.view(job).result()).feature();
        WireJobSlip set = new WireJobSlip(setJob(job, WireJobField.SET, contour), EditError.NONE);
        assertThat(set.sets()).singleElement().satisfies(s -> assertThat(s.set()).isTrue());
        assertThat(set.clearance().text()).isEqualTo("0.01");
        assertThat(set.isRound()).isFalse();
        setJob(job, WireJobField.SET, contour);
        WireJobSlip round = new WireJobSlip(setJob(job, WireJobField.COUNT, "6"), EditError.NONE);
        assertThat(round.isRound()).isTrue();
        assertThat(round.round().get(0).text()).isEqualTo("60");
        assertThat(round.indexed().text()).isEqualTo("false");
    }

    // ---- what is drawn

    @Test
    void theTableDrawsEveryPassAndHole() {
        long job = makeWireJob("shim_punch_die", "Drawn", 40);
        WirePlan plan = Wires.plan(jobs.view(job).result()).orElseThrow();
        WireScene scene = WireScene.of(plan);
        int cuts = plan.visits().values().stream().mapToInt(v -> v.cuts().size()).sum();
        assertThat(scene.passes()).hasSize(cuts);
        assertThat(scene.holes()).hasSameSizeAs(plan.holes());
        assertThat(scene.kept()).as("the work and its opening").hasSize(2);
        assertThat(scene.upper()).as("all stands upright").isEmpty();
    }

    @Test
    void repeatedContoursAreDrawnAndStandInSpace() {
        long job = makeWireJob("shim_punch_die", "Repeated", 40);
        String stop = first(jobs.view(job).result()).id();
        int bodies = SolidView.of(jobs.view(job).result()).bodies().size();
        JobResult result = set(job, stop, WireField.COLUMNS, "3");
        WireScene scene = WireScene.of(Wires.plan(result).orElseThrow());
        assertThat(scene.kept()).hasSize(4);
        assertThat(scene.holes()).hasSize(3);
        Scene table = SceneBuilder.build(1, result, true);
        assertThat(table.placements()).hasSize(3);
        assertThat(table.placements().get(2)[4] - table.placements().get(1)[4])
                .isCloseTo(
                        table.placements().get(1)[4] - table.placements().get(0)[4], within(1e-9));
        assertThat(SolidView.of(result).bodies()).hasSize(bodies + 2);
    }
}
