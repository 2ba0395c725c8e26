package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.material.Leftover;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.stop.Stop;
import dev.oleander.price.PriceList;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Word;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.Previews;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseService;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What run line and slips say of a job. */
class SlipsTest extends WebTest {

    @Autowired private ValueEdits valueEdits;
    @Autowired private List<WorkPages> allPages;
    @Autowired private ReleaseService releases;
    @Autowired private Previews previews;

    private static Stop stop(JobResult result, String name) {
        return result.run().stops().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private CutsSlip slip(JobResult result, List<Stop> stops, EditError error) {
        WorkPages pages = allPages.stream().filter(p -> result.is(p.kind())).findFirst().get();
        return new CutsSlip(result, stops, pages.ofStops(result, stops, error));
    }

    private static FieldView field(CutsSlip slip, String name) {
        return SlipRows.field(slip.sections(), name);
    }

    private JobResult set(long id, String stop, String word, String value) {
        return jobs.edit(
                        id,
                        "x",
                        valueEdits.ofStops(List.of(stop), Scope.ALL, Map.of(word, value)),
                        person("mira"))
                .result();
    }

    @Test
    void everyValueSaysWhereItComesFrom() {
        long id = makeJob("cleat_backing_plate", "Sources", 2);
        JobResult result = jobs.view(id).result();
        Stop outline = stop(result, "Outline");
        CutsSlip slip = slip(result, List.of(outline), EditError.NONE);
        assertThat(slip.title()).isEqualTo("Stop 8 · Outline");
        assertThat(slip.subtitle()).startsWith("part 1, copy 1 · 53").endsWith(" s");
        assertThat(field(slip, "side").source()).isEqualTo("reading");
        assertThat(field(slip, "quality").source()).isEqualTo("job");
        List<SlipRow.Fixed> data = SlipRows.all(slip.sections(), SlipRow.Fixed.class);
        assertThat(data).extracting(SlipRow.Fixed::source).containsOnly("book");
        assertThat(data.get(0).text()).isEqualTo("0.26");
        assertThat(field(slip, "leadIn.kind").text()).isEqualTo("arc");
        assertThat(SlipRows.names(slip.sections()))
                .contains("leadIn.radius", "leadIn.angle")
                .doesNotContain("leadIn.length");
        assertThat(field(slip, "start").source()).isEqualTo("found");
        assertThat(slip.hasCopies()).isTrue();
        assertThat(SlipRows.all(slip.sections(), SlipRow.Listed.class).get(0).words())
                .extracting(Word::value)
                .containsExactly("standard", "fine");
    }

    @Test
    void aTypedFormulaStaysVisibleWithItsMeaning() {
        long id = makeJob("cleat_backing_plate", "Typed", 1);
        Stop outline = stop(jobs.view(id).result(), "Outline");
        JobResult after = set(id, outline.id(), "leadIn.radius", "1/8 in + 0.1");
        FieldView radius =
                field(
                        slip(after, List.of(stop(after, "Outline")), EditError.NONE),
                        "leadIn.radius");
        assertThat(radius.text()).isEqualTo("1/8 in + 0.1");
        assertThat(radius.meaning()).isEqualTo("3.275");
        assertThat(radius.here()).isTrue();
        assertThat(radius.source()).isEqualTo("here");
    }

    @Test
    void differingValuesOfSeveralStopsSaySo() {
        long id = makeJob("cleat_backing_plate", "Several", 1);
        JobResult result = jobs.view(id).result();
        List<Stop> both = List.of(stop(result, "Outline"), stop(result, "Hole Ø 11"));
        CutsSlip slip = slip(result, both, EditError.NONE);
        assertThat(slip.title()).isEqualTo("2 stops");
        assertThat(field(slip, "side").mixed()).isTrue();
        assertThat(field(slip, "side").source()).isEqualTo("differs");
        assertThat(field(slip, "overRun").mixed()).isFalse();
        assertThat(field(slip, "start").text()).isEmpty();
        assertThat(slip.refusal()).isEmpty();
    }

    @Test
    void anErrorStandsInItsField() {
        long id = makeJob("cleat_backing_plate", "Wrong", 1);
        JobResult result = jobs.view(id).result();
        EditError error = new EditError("overRun", "x", "\"x\" is not a number.");
        CutsSlip slip = slip(result, List.of(stop(result, "Outline")), error);
        assertThat(field(slip, "overRun").hasError()).isTrue();
        assertThat(field(slip, "overRun").text()).isEqualTo("x");
        assertThat(field(slip, "start").hasError()).isFalse();
        assertThat(EditError.NONE.isPresent()).isFalse();
    }

    @Test
    void aTurnedSideIsPointedOut() {
        long id = makeJob("cleat_backing_plate", "Turned", 1);
        Stop outline = stop(jobs.view(id).result(), "Outline");
        JobResult after = set(id, outline.id(), "side", "inside");
        CutsSlip slip = slip(after, List.of(stop(after, "Outline")), EditError.NONE);
        assertThat(SlipRows.all(slip.sections(), SlipRow.Note.class))
                .anyMatch(n -> n.problem() && n.sentence().contains("a side set here"));
        assertThat(new ProofSlip(after, Set.of(), PriceList.shipped()).findings())
                .anySatisfy(
                        f -> {
                            assertThat(f.severity()).isEqualTo("must fix");
                            assertThat(f.sentence()).contains("wrong side");
                        });
    }

    @Test
    void piecesHaveTheirMassAndWidth() {
        JobResult result = jobs.view(makeJob("cleat_backing_plate", "Masses", 2)).result();
        Stop outline = stop(result, "Outline");
        double area = result.reading().parts().get(0).region().area();
        String grams = Numbers.plain(area * 6 * 7850e-9, 2) + " kg";
        List<ShapeSlip.Figure> one = pieces(result, Set.of(outline.id()));
        assertThat(one).contains(new ShapeSlip.Figure("Mass", grams));
        assertThat(one).extracting(ShapeSlip.Figure::label).contains("Smallest width");
        List<ShapeSlip.Figure> all = pieces(result, Set.of());
        String both = "2, %s kg".formatted(Numbers.plain(2 * area * 6 * 7850e-9, 2));
        assertThat(all).contains(new ShapeSlip.Figure("Parts", both));
        assertThat(pieces(result, Set.of("none"))).isEmpty();
    }

    private static List<ShapeSlip.Figure> pieces(JobResult result, Set<String> stops) {
        return new ProofSlip(result, stops, PriceList.shipped()).pieces();
    }

    @Test
    void theRunLineGroupsPartsThatFollowEachOther() {
        long id = makeJob("cleat_backing_plate", "Line", 3);
        JobResult result = jobs.view(id).result();
        RunLineView line = RunLineView.of(result, Set.of("c1.2"));
        assertThat(line.groups()).hasSize(3);
        assertThat(line.grouped()).isTrue();
        assertThat(line.folded()).isFalse();
        assertThat(line.stops()).isEqualTo(24);
        assertThat(line.groups()).extracting(RunLineView.Group::count).containsOnly(8);
        double before = -1;
        for (RunLineView.Group group : line.groups()) {
            for (RunLineView.Row row : group.rows()) {
                assertThat(row.begins()).isGreaterThan(before);
                before = row.begins();
                assertThat(row.seconds()).isPositive();
            }
        }
        long selected =
                line.groups().stream()
                        .flatMap(g -> g.rows().stream())
                        .filter(RunLineView.Row::selected)
                        .count();
        assertThat(selected).isEqualTo(result.run().stop("c1.2").isPresent() ? 1 : 0);
    }

    @Test
    void manyStopsStartFolded() {
        long id = makeJob("cleat_backing_plate", "Folded", 40);
        RunLineView line = RunLineView.of(jobs.view(id).result(), Set.of());
        assertThat(line.folded()).isTrue();
        assertThat(line.groups().get(0).ids().split(",")).hasSize(8);
    }

    @Test
    void theShapeSlipListsWhatWasReadAndWhatIsWrong() {
        long id = makeJob("fairlead_base_gaps", "Shape", 1);
        ShapeSlip slip = new ShapeSlip(jobs.view(id).result(), List.of("c20"), EditError.NONE);
        assertThat(slip.figures()).extracting(ShapeSlip.Figure::label).contains("Size", "Parts");
        assertThat(slip.faults().get(0).urgent()).isTrue();
        assertThat(slip.faults()).filteredOn(FaultRow::mended).isNotEmpty();
        assertThat(slip.groups())
                .extracting(ReadingGroups.Group::title)
                .contains("Part 1", "Open lines");
        assertThat(slip.feature().title()).isEqualTo("Open line c20");
        assertThat(slip.feature().figures())
                .anyMatch(f -> f.label().equals("Ends apart") && f.value().equals("1.5 mm"));
        assertThat(slip.units()).anyMatch(u -> u.label().startsWith("in: "));
        assertThat(slip.layers())
                .singleElement()
                .satisfies(l -> assertThat(l.purpose()).isEqualTo("cut"));
    }

    @Test
    void theSheetSlipTellsFoundFromSet() {
        long id = makeJob("cleat_backing_plate", "Sheet slip", 4);
        SheetSlip found = new SheetSlip(jobs.view(id).result(), EditError.NONE);
        assertThat(found.grid())
                .extracting(FieldView::source)
                .containsExactly("job", "found", "found", "found", "found");
        JobView set =
                jobs.edit(
                        id,
                        "x",
                        b -> b.document().withSheet(BedValues.ROWS.put(b.document().sheet(), "2")),
                        person("mira"));
        SheetSlip slip = new SheetSlip(set.result(), EditError.NONE);
        assertThat(slip.grid().get(1).here()).isTrue();
        assertThat(slip.figures()).anyMatch(f -> f.value().startsWith("2 rows"));
        assertThat(slip.left()).isEmpty();
        assertThat(slip.refusal()).isEmpty();
    }

    private ReleaseSlip slip(
            long id, List<Release> made, String shown, List<String> obstacles, boolean fresh) {
        ReleaseSlip.Trial trial = new ReleaseSlip.Trial(jobs.view(id).result().dialect(), 0);
        return new ReleaseSlip(
                previews.of(jobs.view(id)), made, shown, obstacles, List.of(), fresh, trial);
    }

    @Test
    void theReleaseSlipOffersTheNextRevisionOrSaysWhyNot() {
        long id = makeJob("cleat_backing_plate", "Offer", 1);
        jobs.edit(id, "x", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        ReleaseSlip open = slip(id, List.of(), "", List.of(), false);
        assertThat(open.offer()).isEqualTo("Release revision A");
        assertThat(open.isPossible()).isTrue();
        assertThat(open.readBack()).contains("lines, greatest deviation", "allowed 1 µm");
        releases.release(id, person("mira"));
        ReleaseSlip made = slip(id, releases.ofJob(id), "A", List.of(), true);
        assertThat(made.offer()).isEqualTo("Nothing changed since revision A");
        assertThat(made.isPossible()).isFalse();
        assertThat(made.releases()).singleElement().satisfies(r -> assertThat(r.shown()).isTrue());
        ReleaseSlip blocked = slip(id, List.of(), "", List.of("x"), false);
        assertThat(blocked.isPossible()).isFalse();
    }

    @Test
    void othersLikeAStopAreOfferedForSelection() {
        long id = makeJob("cleat_backing_plate", "Like this", 2);
        JobResult result = jobs.view(id).result();
        Stop hole =
                result.run().stops().stream()
                        .filter(s -> s.name().equals("Hole Ø 11"))
                        .findFirst()
                        .orElseThrow();
        List<LikeThis.Choice> choices = slip(result, List.of(hole), EditError.NONE).likeThis();
        assertThat(choices)
                .extracting(LikeThis.Choice::label)
                .containsExactly(
                        "same size and form: 8", "same kind: 12", "same layer: 16", "same part: 8");
        assertThat(choices.get(0).stops().split(","))
                .allMatch(s -> result.stops().get(s).name().equals("Hole Ø 11"));
        List<Stop> two = result.run().stops().subList(0, 2);
        assertThat(slip(result, two, EditError.NONE).likeThis()).isEmpty();
    }

    @Test
    void startHolesSayWhatTheyAreFor() {
        long id = makeJob("cleat_backing_plate", "Start holes", 1);
        JobResult result =
                jobs.edit(
                                id,
                                "start holes",
                                b ->
                                        b.document()
                                                .reshaped(
                                                        s ->
                                                                s.withRules(
                                                                        s.rules()
                                                                                .withStartDiameters(
                                                                                        List.of(
                                                                                                11.0)))),
                                person("mira"))
                        .result();
        ReadingGroups.Group starts =
                new ReadingGroups(result.reading(), List.of())
                        .groups().stream()
                                .filter(g -> g.title().equals("Start holes"))
                                .findFirst()
                                .orElseThrow();
        assertThat(starts.rows()).hasSize(4);
        assertThat(starts.rows().get(0).name()).isEqualTo("Start hole Ø 11");
        assertThat(starts.rows().get(0).note()).startsWith("for ");
        assertThat(starts.rows().get(0).purpose()).isEqualTo("start");
    }

    @Test
    void clampsAndTheHeldEdgeAreSetOnTheSheet() {
        long id = makeJob("cleat_backing_plate", "Clamps", 2);
        setSheet(id, BedValues.KEEP_OUT, "0, 0, 60, 40, 35; 600, 5, 2*20, 30, 35");
        setSheet(id, BedValues.HELD_AT, "top");
        JobResult result = jobs.view(id).result();
        assertThat(result.run().layout().keepOut()).hasSize(2);
        assertThat(result.run().layout().keepOut().get(1).width()).isEqualTo(40);
        SheetSlip slip = new SheetSlip(result, EditError.NONE);
        assertThat(slip.clamps().text()).isEqualTo("0, 0, 60, 40, 35; 600, 5, 40, 30, 35");
        assertThat(slip.heldAt()).isEqualTo("top");
        assertThat(slip.heldNote()).startsWith("Thicker than 4 mm");
        assertThat(result.findings()).anyMatch(f -> f.rule().equals("keep-out"));
        assertThat(SceneBuilder.build(1, result, true, Map.of()).keepOut()).hasSize(2);
        assertThatThrownBy(() -> setSheet(id, BedValues.KEEP_OUT, "1, 2, 3"))
                .hasMessage("Clamp 1 has 3 numbers; it needs five: x, y, width, depth, height.");
        assertThatThrownBy(() -> setSheet(id, BedValues.KEEP_OUT, "1, 2, 0, 4, 5"))
                .hasMessageContaining("The width of clamp 1");
        setSheet(id, BedValues.KEEP_OUT, "");
        setSheet(id, BedValues.HELD_AT, "");
        SheetSlip bare = new SheetSlip(jobs.view(id).result(), EditError.NONE);
        assertThat(bare.clamps().text()).isEmpty();
        assertThat(bare.edges().get(0).label()).isEqualTo("as usual: left edge");
    }

    @Test
    void whatIsLeftIsToldInWordsAndPlaces() {
        long id = makeJob("cleat_backing_plate", "Left", 1);
        RemainsView remains = RemainsView.of(jobs.view(id).result().remains());
        assertThat(remains.sentence()).startsWith("After the last move");
        assertThat(remains.areas())
                .allSatisfy(a -> assertThat(a.depth()).isGreaterThan(Leftover.LEAST))
                .allSatisfy(a -> assertThat(a.d()).isNotEmpty());
        assertThat(Replay.of(1, jobs.view(id).result()).pieces())
                .as("all contours that set a piece free")
                .isNotEmpty()
                .allSatisfy(p -> assertThat(p).hasSize(4));
    }
}
