package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.DrawSteps;
import dev.oleander.drawing.draw.Supplies;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.letter.LetterFaces;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ProofRulesTest {

    private final Reading cleat = Samples.reading("cleat_backing_plate");

    private Proof prove(PlanChoices plan, SheetChoices sheet, int quantity) {
        SheetPlanner.Order order = new SheetPlanner.Order("mild steel", 6, quantity);
        Run run = Samples.plan(cleat, order, plan, sheet);
        return Samples.prove(cleat, run);
    }

    private String outline() {
        return cleat.parts().get(0).outline();
    }

    private static List<Finding> of(Proof proof, String rule) {
        return proof.findings().stream().filter(f -> f.rule().equals(rule)).toList();
    }

    @Test
    void aGoodPlanPassesEveryRuleAndEveryRuleIsListed() {
        Proof proof = prove(PlanChoices.defaults(), SheetChoices.defaults(), 4);
        assertThat(proof.findings()).isEmpty();
        assertThat(proof.releasable()).isTrue();
        assertThat(proof.rules())
                .extracting(Proof.RuleRun::id)
                .contains("gouge", "lead", "open", "stock", "data", "order", "narrow", "uncut");
        Set<String> nothingToCheck = Set.of("axis", "edge", "island", "keep-out", "tabs");
        assertThat(proof.rules()).allMatch(r -> r.checked() > 0 || nothingToCheck.contains(r.id()));
    }

    @Test
    void aCutOnTheWrongSideIsAGouge() {
        PlanChoices wrong =
                PlanChoices.defaults()
                        .withStop(outline(), StopChoice.NOTHING.withSide(Side.INSIDE));
        Proof proof = prove(wrong, SheetChoices.defaults(), 1);
        assertThat(of(proof, "gouge"))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.severity()).isEqualTo(Severity.MUST_FIX);
                            assertThat(f.sentence()).contains("wrong side", "0.26 mm");
                        });
        assertThat(proof.releasable()).isFalse();
    }

    @Test
    void aCutOnTheLineGougesHalfAKerf() {
        PlanChoices onLine =
                PlanChoices.defaults().withStop(outline(), StopChoice.NOTHING.withSide(Side.ON));
        assertThat(of(prove(onLine, SheetChoices.defaults(), 1), "gouge"))
                .singleElement()
                .extracting(Finding::value)
                .satisfies(v -> assertThat((double) v).isBetween(0.129, 0.131));
    }

    @Test
    void aLeadIntoTheNeighbourIsFound() {
        LeadChoice longLine = new LeadChoice(LeadKind.LINE, Typed.of(60), Typed.of(90), null);
        PlanChoices far =
                PlanChoices.defaults()
                        .withStop(
                                outline(),
                                StopChoice.NOTHING.withLeadIn(longLine).withStart(Typed.of(200)));
        Proof proof = prove(far, SheetChoices.defaults(), 30);
        assertThat(of(proof, "lead")).isNotEmpty();
        assertThat(of(proof, "lead").get(0).sentence())
                .contains("comes within 0 mm of the cut of stop");
    }

    @Test
    void aLeadOutIntoTheNeighbourIsFound() {
        Proof proof = prove(withLeadOut(), SheetChoices.defaults(), 30);
        assertThat(of(proof, "lead").get(0).sentence())
                .contains("its lead-out comes within 0 mm of the cut of stop");
    }

    @Test
    void aLeadOverTheEdgeOfTheStockIsFound() {
        Proof proof = prove(withLeadOut(), tight(20), 1);
        assertThat(of(proof, "lead"))
                .isNotEmpty()
                .allMatch(f -> f.sentence().contains("the edge of the sheet"));
    }

    private PlanChoices withLeadOut() {
        LeadChoice longLine = new LeadChoice(LeadKind.LINE, Typed.of(60), Typed.of(90), null);
        return PlanChoices.defaults().withStop(outline(), StopChoice.NOTHING.withLeadOut(longLine));
    }

    /** Stock that is larger than the parts by so much, mm. */
    private static SheetChoices tight(double allowance) {
        return SheetChoices.defaults()
                .withStock(
                        new SheetChoices.Stock(
                                true, Typed.of(1), Typed.of(1), Typed.of(allowance)));
    }

    @Test
    void anOpenContourIsFound() {
        Reading fairlead = Samples.reading("fairlead_base_gaps");
        Proof proof = Samples.prove(fairlead, Samples.plan(fairlead, "mild steel", 8, 1));
        assertThat(of(proof, "open"))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("1.5 mm apart"));
    }

    /** Letters cut out of a board, without bridges and with them. */
    @Test
    void theMiddlesOfLettersThatFallOutAreTold() {
        List<DrawStep> steps =
                List.of(
                        new DrawStep(
                                "d1",
                                "rectangle",
                                List.of(),
                                Map.of("x", "-20", "y", "-20", "width", "200", "height", "80")),
                        new DrawStep(
                                "d2",
                                "text",
                                List.of(),
                                Map.of(
                                        "x",
                                        "0",
                                        "y",
                                        "0",
                                        "text",
                                        "BOT",
                                        "height",
                                        "40",
                                        "font",
                                        LetterFaces.BLOCK.names().sha256())),
                        new DrawStep("d3", "bridges", List.of("d2*"), Map.of("width", "3")));
        List<Finding> loose = islands(steps.subList(0, 2));
        // two in the B, one in the O
        assertThat(loose).hasSize(3);
        assertThat(loose.get(0).severity()).isEqualTo(Severity.LOOK);
        assertThat(loose.get(0).sentence()).contains("The middle of a letter", "nothing holds it");
        assertThat(islands(steps)).isEmpty();
    }

    @Test
    void lettersThatRunOverTheEdgeAreTold() {
        Map<String, String> tag = Map.of("x", "0", "y", "0", "width", "70", "height", "30");
        Map<String, String> text =
                Map.of("x", "14", "y", "6", "text", "BOTBOT", "height", "12", "use", "mark");
        List<DrawStep> steps =
                List.of(
                        new DrawStep("d1", "rectangle", List.of(), tag),
                        new DrawStep("d2", "text", List.of(), text));
        assertThat(of(written(steps), "edge"))
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.LOOK))
                .satisfies(f -> assertThat(f.sentence()).contains("over a line that is cut"));
        Map<String, String> smaller = new HashMap<>(text);
        smaller.put("height", "4");
        DrawStep fits = steps.get(1).withValues(smaller);
        assertThat(of(written(List.of(steps.get(0), fits)), "edge")).isEmpty();
    }

    private static List<Finding> islands(List<DrawStep> steps) {
        return of(written(steps), "island");
    }

    private static Proof written(List<DrawStep> steps) {
        Supplies supplies = new Supplies(sha256 -> Optional.of(LetterFaces.BLOCK), Traces.NONE);
        Reading reading =
                new DrawingReading(ReadOptions.defaults())
                        .read(
                                new DrawSteps(Map.of(), supplies)
                                        .apply(Drawing.empty("board"), steps)
                                        .drawing());
        return Samples.prove(reading, Samples.plan(reading, "mild steel", 3, 1));
    }

    @Test
    void missingDataIsFound() {
        Run run =
                Samples.plan(
                        cleat,
                        new SheetPlanner.Order("mild steel", 90, 1),
                        PlanChoices.defaults(),
                        SheetChoices.defaults());
        assertThat(of(Samples.prove(cleat, run), "data"))
                .singleElement()
                .satisfies(f -> assertThat(f.count()).isEqualTo(8))
                .satisfies(f -> assertThat(f.sentence()).contains("The same at 7 more stops"));
    }

    @Test
    void aLeadOutThatBitesIsRefusedAsALeadInIs() {
        LeadChoice long9 =
                LeadChoice.NOTHING
                        .withKind(LeadKind.LINE)
                        .withLength(Typed.of(30))
                        .withAngle(Typed.of(90));
        String hole =
                cleat.cut()
                        .filter(f -> f.circleDiameter().isPresent())
                        .findFirst()
                        .orElseThrow()
                        .id();
        Run run =
                Samples.plan(
                        cleat,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        PlanChoices.defaults()
                                .withStop(hole, StopChoice.NOTHING.withLeadOut(long9)),
                        SheetChoices.defaults());
        assertThat(run.refused())
                .singleElement()
                .extracting(s -> s.refusalSentence().orElseThrow())
                .asString()
                .contains("its lead-out comes within 0 mm of part 1");
    }

    @Test
    void theDepthOfAMoveIsThatOfItsDeepestPlace() {
        Reading plate = new Drawn().rectangle(0, 0, 100, 60).reading();
        Run run = Samples.plan(plate, "mild steel", 6, 1);
        KeptMaterial kept = KeptMaterial.of(plate, run.layout());
        var box = run.layout().placements().get(0).transform().apply(new Point(0, 30));
        Line into = new Line(box.plus(new Point(-2, 0)), box.plus(new Point(8.9, 0)));
        var near = kept.nearest(into, 1);
        assertThat(kept.deepest(into, near).intrusion(0.13)).isCloseTo(8.9 + 0.13, within(1e-6));
    }

    @Test
    void partsThatLieTooCloseAreNotCalledTheWrongSide() {
        Reading plate = new Drawn().rectangle(0, 0, 100, 60).reading();
        SheetChoices close =
                SheetChoices.defaults()
                        .withGrid(
                                new SheetChoices.Grid(
                                        Typed.of(0),
                                        null,
                                        Typed.of(2),
                                        Typed.of(0.05),
                                        null,
                                        false));
        Run run =
                Samples.plan(
                        plate,
                        new SheetPlanner.Order("mild steel", 6, 2),
                        PlanChoices.defaults(),
                        close);
        assertThat(of(Samples.prove(plate, run), "gouge"))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.sentence()).contains("lies too close"));
    }

    @Test
    void aUnitThatNobodySaidIsALook() {
        byte[] file = Samples.bytes("cleat_backing_plate.dxf");
        ImportOptions options = ImportOptions.defaults();
        Reading guessed = read(file, options);
        Run run = Samples.plan(guessed, "mild steel", 6, 1);
        assertThat(of(Samples.prove(guessed, run), "drawing"))
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.LOOK))
                .satisfies(
                        f -> assertThat(f.sentence()).contains("does not say its unit", "184 mm"));
        Reading said = read(file, options.withUnit(LengthUnit.MILLIMETRE));
        assertThat(of(Samples.prove(said, run), "drawing")).isEmpty();
    }

    private static Reading read(byte[] file, ImportOptions options) {
        return new DrawingReading(ReadOptions.defaults())
                .read(new DrawingFiles(options).read("cleat_backing_plate.dxf", file));
    }

    @Test
    void equalFindingsOfCopiesAreOneAndAcceptedOnce() {
        Reading small = new Drawn().rectangle(0, 0, 60, 40).circle(30, 20, 1.6).reading();
        Run run = Samples.plan(small, "mild steel", 6, 5);
        List<Finding> data = of(Samples.prove(small, run), "data");
        assertThat(data).singleElement().satisfies(f -> assertThat(f.count()).isEqualTo(5));
        Map<String, String> accepted = Map.of(data.get(0).key(), "drilled afterwards");
        Proof again =
                Prover.withAllRules()
                        .prove(SheetProof.input(small, run, Samples.time(run)), accepted);
        assertThat(again.open()).isEmpty();
    }

    @Test
    void findingsAtDifferentPlacesAreAcceptedOneByOne() {
        Reading treads = Samples.reading("ramp_tread_plates");
        Run run = Samples.plan(treads, "mild steel", 5, 1);
        List<Finding> crossings =
                Samples.prove(treads, run).findings().stream()
                        .filter(f -> f.sentence().contains(" cross"))
                        .toList();
        assertThat(crossings).hasSizeGreaterThan(1);
        assertThat(crossings).extracting(Finding::key).doesNotHaveDuplicates();
    }

    @Test
    void aLookIsAcceptedWithAReasonUntilItsValueChanges() {
        LeadChoice tiny = new LeadChoice(LeadKind.LINE, Typed.of(1), Typed.of(90), null);
        PlanChoices near =
                PlanChoices.defaults().withStop(outline(), StopChoice.NOTHING.withLeadIn(tiny));
        Run run =
                Samples.plan(
                        cleat,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        near,
                        SheetChoices.defaults());
        ProofInput input = SheetProof.input(cleat, run, Samples.time(run));
        Finding look = of(Prover.withAllRules().prove(input, Map.of()), "lead").get(0);
        assertThat(look.severity()).isEqualTo(Severity.LOOK);
        assertThat(look.blocks()).isTrue();
        Proof accepted = Prover.withAllRules().prove(input, Map.of(look.key(), "tried on scrap"));
        assertThat(accepted.releasable()).isTrue();
        assertThat(of(accepted, "lead").get(0).accepted()).contains("tried on scrap");
    }
}
