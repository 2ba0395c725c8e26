package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Source;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.web.WebTest;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.FieldView;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipRow.Tools;
import dev.oleander.web.bench.SlipRows;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.bench.Unattended;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.Wires;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.choice.WireChoice;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the slips of a wire machine say. */
class WireSlipTest extends WebTest {

    private static final EditError NO_ERROR = new EditError("", "", "");

    @Autowired private ValueEdits edits;
    @Autowired private WirePages pages;

    private JobResult set(long job, String stop, String word, String text) {
        return jobs.edit(
                        job,
                        "x",
                        edits.ofStops(List.of(stop), Scope.ALL, Map.of(word, text)),
                        person("mira"))
                .result();
    }

    private JobResult setJob(long job, String word, String text) {
        return jobs.edit(job, "x", edits.ofJob(word, text), person("mira")).result();
    }

    private List<SlipSection> slip(JobResult result, Stop... stops) {
        return pages.ofStops(result, Arrays.asList(stops), NO_ERROR);
    }

    private List<SlipSection> slipAfter(JobResult result) {
        return slip(result, first(result));
    }

    private static Stop first(JobResult result) {
        return result.run().stops().get(0);
    }

    private static FieldView field(List<SlipSection> slip, String name) {
        return SlipRows.field(slip, name);
    }

    private static List<String> names(List<SlipSection> slip, String title) {
        return SlipRows.names(slip.stream().filter(s -> s.title().equals(title)).toList());
    }

    private static <M> M own(List<SlipSection> slip, Class<M> model) {
        return SlipRows.all(slip, Own.class).stream()
                .map(Own::model)
                .filter(model::isInstance)
                .map(model::cast)
                .findFirst()
                .orElseThrow();
    }

    private static boolean hasTool(List<SlipSection> slip, String id) {
        return SlipRows.all(slip, Tools.class).stream()
                .flatMap(t -> t.parts().stream())
                .anyMatch(p -> p.id().equals(id));
    }

    // ---- values of stops

    @Test
    void everyValueSaysWhereItComesFrom() {
        long job = makeWireJob("shim_punch_die", "Sources", 40);
        List<SlipSection> slip = slipAfter(jobs.view(job).result());
        assertThat(slip.get(0).title()).isEqualTo("Passes · opening");
        assertThat(field(slip, "finish").text()).isEqualTo("good");
        assertThat(field(slip, "passes").source()).isEqualTo("book");
        assertThat(field(slip, "lead").text()).isEqualTo("direct");
        assertThat(field(slip, "slug").source()).isEqualTo("found");
        assertThat(field(slip, "start").source()).isEqualTo("found");
        assertThat(SlipRows.names(slip)).doesNotContain("leadLength");
        SlipRow.Fixed hole = SlipRows.all(slip, SlipRow.Fixed.class).get(0);
        assertThat(hole.text()).startsWith("drawn, X ");
        assertThat(hole.putBack()).as("nobody set it").isEmpty();
    }

    @Test
    void whatWasTypedIsShownWithItsMeaning() {
        long job = makeWireJob("shim_punch_die", "Typed", 40);
        String stop = first(jobs.view(job).result()).id();
        FieldView hold = field(slipAfter(set(job, stop, "hold", "2*1.5")), "hold");
        assertThat(hold.text()).isEqualTo("2*1.5");
        assertThat(hold.meaning()).isEqualTo("3");
        assertThat(hold.source()).isEqualTo("here");
        assertThat(hold.here()).isTrue();
    }

    @Test
    void whatIsSetHereSaysSoAndIsPutBack() {
        long job = makeWireJob("shim_punch_die", "Here", 40);
        String stop = first(jobs.view(job).result()).id();
        Map<String, String> values = new LinkedHashMap<>();
        values.put("finish", "standard");
        values.put("passes", "2");
        values.put("alternate", "false");
        values.put("compensation", "path");
        values.put("direction", "clockwise");
        values.put("lead", "square");
        values.put("overlap", "0.5");
        values.put("backOff", "0.6");
        values.put("slug", "holds");
        values.put("hold", "3");
        values.put("holdStop", "never");
        values.put("reversed", "false");
        values.put("offSkims", "false");
        values.put("angle", "1");
        values.put("corners", "cylindrical");
        values.forEach(
                (word, text) -> {
                    Map<String, Source> sources = sources(set(job, stop, word, text), stop);
                    assertThat(sources).containsEntry(word, Source.HERE);
                    assertThat(sources(set(job, stop, word, ""), stop).get(word))
                            .as("%s put back", word)
                            .isNotEqualTo(Source.HERE);
                });
    }

    private static Map<String, Source> sources(JobResult result, String stop) {
        return Wires.plan(result).orElseThrow().settings().get(stop).sources();
    }

    @Test
    void rowsFollowTheHandlingOfTheSlug() {
        long job = makeWireJob("shim_punch_die", "Handling", 40);
        String stop = first(jobs.view(job).result()).id();
        String section = "The piece that comes free";
        List<SlipSection> coreless = slipAfter(set(job, stop, "slug", "coreless"));
        assertThat(names(coreless, section)).containsExactly("slug", "step");
        assertThat(hasTool(coreless, "put-holds")).isFalse();
        List<SlipSection> several = slipAfter(set(job, stop, "slug", "holds"));
        assertThat(names(several, section))
                .containsExactly("slug", "hold", "holds", "holdStop", "reversed", "offSkims");
        assertThat(hasTool(several, "put-holds")).isTrue();
        List<SlipSection> last = slipAfter(set(job, stop, "slug", "stopBefore"));
        assertThat(field(last, "hold").label()).isEqualTo("Last");
        assertThat(names(last, section)).containsExactly("slug", "hold", "holdStop");
        assertThat(listed(last, "slug")).contains("coreless", "drop");
    }

    private static List<String> listed(List<SlipSection> slip, String name) {
        return SlipRows.all(slip, SlipRow.Listed.class).stream()
                .filter(r -> r.field().name().equals(name))
                .flatMap(r -> r.words().stream())
                .map(Word::value)
                .toList();
    }

    @Test
    void theDataAreThoseOfThePassesThatAreRun() {
        long job = makeWireJob("shim_punch_die", "Data", 40);
        String stop = first(jobs.view(job).result()).id();
        WireStopSlip.PassTable table =
                own(slipAfter(set(job, stop, "passes", "2")), WireStopSlip.PassTable.class);
        assertThat(table.rows())
                .extracting(WireStopSlip.PassRow::register)
                .containsExactly("D21", "D22");
        assertThat(table.rows().get(0).feed()).isEqualTo("2.6");
        assertThat(table.label()).isEqualTo("tool steel 40, good, brass 0.25");
    }

    @Test
    void valuesThatDifferSaySo() {
        long job = makeWireJob("hawse_funnel_die", "Differ", 30);
        JobResult result = jobs.view(job).result();
        Stop[] stops = result.run().stops().toArray(Stop[]::new);
        assertThat(field(slip(result, stops), "finish").mixed()).isFalse();
        JobResult changed = set(job, stops[0].id(), "finish", "standard");
        List<SlipSection> all = slip(changed, changed.run().stops().toArray(Stop[]::new));
        FieldView finish = field(all, "finish");
        assertThat(finish.mixed()).isTrue();
        assertThat(finish.source()).isEqualTo("differs");
        assertThat(finish.text()).isEmpty();
        assertThat(SlipRows.all(all, Own.class)).as("no table of one row").isEmpty();
    }

    // ---- flanks and copies

    @Test
    void leaningFlanksShowWhatBelongsToThem() {
        long job = makeWireJob("shim_punch_die", "Flanks", 40);
        String stop = first(jobs.view(job).result()).id();
        List<SlipSection> upright = slipAfter(jobs.view(job).result());
        assertThat(names(upright, "Flanks")).doesNotContain("corners", "land");
        JobResult leaning = set(job, stop, "angle", "1");
        assertThat(field(slipAfter(leaning), "land").source()).isEqualTo("none");
        set(job, stop, "land", "8");
        JobResult result = set(job, stop, "cornerOf", "2");
        List<SlipSection> flanks = slipAfter(result);
        assertThat(field(flanks, "angle").source()).isEqualTo("here");
        assertThat(field(flanks, "land").text()).isEqualTo("8");
        WireFlanksSlip.Elements elements = own(flanks, WireFlanksSlip.Elements.class);
        List<SlipSection> single = List.of(new SlipSection("", elements.rows()));
        assertThat(field(single, "cornerOf").text()).isEqualTo("2");
        Feature contour = result.reading().byId().get(first(result).feature());
        assertThat(elements.contour()).hasSameSizeAs(contour.chain().segments());
        assertThat(elements.contour()).extracting(WireFlanksSlip.Element::angle).contains("1°");
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
        set(job, stop, "upper", disc.id());
        double lower = square.contour().distanceAt(square.contour().nearest(disc.chain().start()));
        JobResult result = set(job, stop, "lines", "+%.3f > 0".formatted(lower));
        List<SlipSection> flanks = slip(result, result.stops().get(stop));
        assertThat(field(flanks, "matching").text()).isEqualTo("lines");
        assertThat(field(flanks, "lines").text()).endsWith("> 0");
        assertThat(field(flanks, "upper").text()).isEqualTo(disc.id());
        assertThat(own(flanks, WireFlanksSlip.Joined.class).lines()).matches("[\\d.]+ 0\\.0");
        assertThat(listed(flanks, "upper")).contains(disc.id()).doesNotContain(square.id());
    }

    @Test
    void copiesOfAContourShowOnlyWhatApplies() {
        long job = makeWireJob("shim_punch_die", "Copies", 40);
        String stop = first(jobs.view(job).result()).id();
        String section = "Copies of it";
        List<SlipSection> none = slipAfter(jobs.view(job).result());
        assertThat(names(none, section)).containsExactly("columns", "rows", "roundCount");
        assertThat(field(none, "roundCount").source()).isEqualTo("none");
        assertThat(field(none, "columns").source()).isEqualTo("usual");
        List<SlipSection> row = slipAfter(set(job, stop, "columns", "2"));
        assertThat(names(row, section)).contains("pitchX");
        assertThat(field(row, "columns").here()).isTrue();
        List<SlipSection> round = slipAfter(set(job, stop, "roundCount", "5"));
        assertThat(names(round, section))
                .containsExactly("roundCount", "roundAngle", "roundCentre", "roundIndexed");
        assertThat(field(round, "roundAngle").text()).isEqualTo("72");
        assertThat(field(round, "roundCentre").text()).isEqualTo("0 0");
        assertThat(field(round, "roundIndexed").text()).isEqualTo("false");
    }

    @Test
    void anErrorStandsAtItsField() {
        long job = makeWireJob("shim_punch_die", "Error", 40);
        JobResult result = jobs.view(job).result();
        EditError error = new EditError("columns", "many", "Columns: \"many\" is not a number.");
        List<SlipSection> slip = pages.ofStops(result, List.of(first(result)), error);
        assertThat(field(slip, "columns").text()).isEqualTo("many");
        assertThat(field(slip, "columns").error()).contains("is not a number");
        assertThat(field(slip, "rows").hasError()).isFalse();
    }

    // ---- the whole job

    @Test
    void theJobSaysHowLongItRunsAlone() {
        long job = makeWireJob("shim_punch_die", "Alone", 40);
        JobResult result = jobs.view(job).result();
        List<SlipSection> slip = pages.ofJob(result, NO_ERROR);
        assertThat(listed(slip, "wire")).contains("brass 0.25", "brass 0.2").hasSizeGreaterThan(2);
        assertThat(field(slip, "wire").text()).isEqualTo("brass 0.25");
        Unattended alone = Unattended.of(result);
        assertThat(SlipRows.all(slip, SlipRow.Note.class))
                .extracting(SlipRow.Note::sentence)
                .contains(alone.sentence());
        assertThat(alone.waits()).isEqualTo(1);
        assertThat(alone.total())
                .isCloseTo(
                        result.timeline().total() - result.timeline().seconds().people(),
                        within(1e-9));
        assertThat(own(slip, Integer.class)).as("holes to drill").isEqualTo(1);
        JobResult dropping = set(job, first(result).id(), "slug", "drop");
        assertThat(Unattended.of(dropping).sentence()).endsWith("without people.");
    }

    @Test
    void setsAndCopiesOfTheWholeAreShown() {
        long job = makeWireJob("shim_punch_die", "Whole", 40);
        String contour = first(jobs.view(job).result()).feature();
        List<SlipSection> set = pages.ofJob(setJob(job, "set", contour), NO_ERROR);
        assertThat((List<?>) own(set, List.class))
                .singleElement()
                .isEqualTo(
                        new WireJobSlip.SetRow(
                                contour,
                                ((WireJobSlip.SetRow) own(set, List.class).get(0)).name(),
                                true));
        assertThat(field(set, "clearance").text()).isEqualTo("0.01");
        assertThat(SlipRows.names(set)).doesNotContain("round.angle");
        setJob(job, "set", contour);
        List<SlipSection> round = pages.ofJob(setJob(job, "round.count", "6"), NO_ERROR);
        assertThat(field(round, "round.angle").text()).isEqualTo("60");
        assertThat(field(round, "round.indexed").text()).isEqualTo("false");
    }

    // ---- all values

    @Test
    void everyValueSaysInWordsWhatARecipeDecides() {
        for (Value<WireChoice> value : WIRE.stopValues()) {
            assertThat(value.sentence(WireChoice.NOTHING)).as(value.word()).isEmpty();
            assertThat(value.name()).isNotBlank();
        }
    }
}
