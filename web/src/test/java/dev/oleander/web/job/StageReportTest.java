package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.doReturn;
import static org.mockito.Mockito.spy;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.value.Value;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.planning.Planning.State;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import dev.oleander.web.release.ReleaseService;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class StageReportTest extends WebTest {

    @Autowired private ReleaseService releases;

    private void set(long id, Value<JobDocument> field, String value) {
        jobs.edit(id, "x", b -> field.put(b.document(), value), person("mira"));
    }

    private StageView stage(long id, Stage stage) {
        return jobs.view(id).stage(stage);
    }

    @Test
    void anUndeclaredUnitAsksForADecision() {
        long id = makeJob("cleat_backing_plate", "Unit", 1);
        assertThat(stage(id, Stage.SHAPE).state()).isEqualTo(StageView.State.NEEDS);
        assertThat(stage(id, Stage.SHAPE).needs()).singleElement().asString().contains("unit");
        set(id, OrderValues.UNIT, "mm");
        assertThat(stage(id, Stage.SHAPE).isReady()).isTrue();
        assertThat(stage(id, Stage.SHAPE).sentence()).isEqualTo("1 part, 7 openings");
    }

    @Test
    void aDrawingOfWhichNothingIsCutIsNotFinished() {
        long id = makeJobInMillimetres("cleat_backing_plate", "Nothing cut", 1);
        jobs.edit(
                id,
                "ignore",
                b ->
                        b.document()
                                .reshaped(
                                        s -> {
                                            for (String layer : layers(id)) {
                                                s = s.withLayer(layer, Purpose.IGNORE);
                                            }
                                            return s;
                                        }),
                person("mira"));
        assertThat(stage(id, Stage.SHAPE).isReady()).isFalse();
        assertThat(stage(id, Stage.SHAPE).sentence()).isEqualTo("no line is cut yet");
        assertThat(stage(id, Stage.PROOF).isReady()).isFalse();
    }

    private Set<String> layers(long id) {
        return jobs.view(id).result().reading().layerPurposes().keySet();
    }

    @Test
    void anInchDrawingGrowsAndMayStillFit() {
        long id = makeJob("cleat_backing_plate", "Inches", 1);
        set(id, OrderValues.UNIT, "in");
        assertThat(jobs.view(id).result().reading().box().width()).isGreaterThan(4000);
        assertThat(stage(id, Stage.SHEET).state()).isEqualTo(StageView.State.NEEDS);
        assertThat(stage(id, Stage.SHEET).needs().get(0)).contains("No copy fits");
        assertThat(stage(id, Stage.CUTS).sentence()).isEqualTo("nothing to cut");
        assertThat(stage(id, Stage.PROOF).state()).isEqualTo(StageView.State.NEEDS);
    }

    @Test
    void stopsWithoutDataAreCounted() {
        long id = makeJob("cleat_backing_plate", "Thick", 1);
        set(id, OrderValues.THICKNESS, "60");
        StageView cuts = stage(id, Stage.CUTS);
        assertThat(cuts.sentence()).isEqualTo("8 stops cannot be cut");
        assertThat(cuts.needs().get(0)).contains("Stop 1", "60 mm thick");
    }

    @Test
    void anUnusableSheetStopsTheStagesAfterIt() {
        long id = makeJob("cleat_backing_plate", "Rows", 1);
        setSheet(id, BedValues.ROWS, "1.5");
        assertThat(stage(id, Stage.SHEET).needs().get(0)).contains("not a whole number");
        assertThat(stage(id, Stage.CUTS).sentence()).isEqualTo("waits for the sheet");
        assertThat(stage(id, Stage.PROOF).state()).isEqualTo(StageView.State.OPEN);
        assertThat(jobs.undo(id, person("mira")).stage(Stage.SHEET).isReady()).isTrue();
    }

    @Test
    void aQuantityTakesAsManySheetsAsItNeeds() {
        long id = makeJob("cleat_backing_plate", "Many", 500);
        assertThat(stage(id, Stage.SHEET).isReady()).isTrue();
        assertThat(stage(id, Stage.SHEET).sentence()).matches("\\d+ % of \\d+ sheets");
        set(id, OrderValues.QUANTITY, "2");
        assertThat(stage(id, Stage.SHEET).sentence()).isEqualTo("2 % of it used");
    }

    @Test
    void whatFitsOnNoSheetIsMissingWithTheReason() {
        long id = makeJobInMillimetres("cleat_backing_plate", "Small sheet", 5);
        setSheet(id, BedValues.WIDTH, "100");
        StageView sheet = stage(id, Stage.SHEET);
        assertThat(sheet.isReady()).isFalse();
        assertThat(sheet.needs())
                .singleElement()
                .asString()
                .startsWith("5 of 5 are missing. No copy fits");
    }

    @Test
    void aReleaseGoesStaleWhenTheJobChanges() {
        long id = makeJob("cleat_backing_plate", "Stale", 1);
        set(id, OrderValues.UNIT, "mm");
        assertThat(stage(id, Stage.RELEASE).sentence()).isEqualTo("none yet");
        releases.release(id, person("mira"));
        assertThat(stage(id, Stage.RELEASE).isReady()).isTrue();
        assertThat(stage(id, Stage.RELEASE).sentence()).isEqualTo("revision A");
        set(id, OrderValues.QUANTITY, "2");
        assertThat(stage(id, Stage.RELEASE).sentence()).isEqualTo("revision A, stale");
        jobs.undo(id, person("mira"));
        assertThat(stage(id, Stage.RELEASE).isReady()).isTrue();
    }

    @Test
    void theTicketSaysTheFirstThingToDo() {
        long id = makeJob("fairlead_base_gaps", "Next", 1);
        JobView job = jobs.view(id);
        assertThat(StageReport.next(job.stages()).stage()).isEqualTo(Stage.SHAPE);
        assertThat(StageReport.nextAction(job.stages())).startsWith("Gap of 1.5 mm");
    }

    private List<StageView> at(boolean planned, State.End end) {
        long id = makeJob("cleat_backing_plate", "Slow", 1);
        set(id, OrderValues.UNIT, "mm");
        JobResult result = spy(jobs.view(id).result());
        doReturn(planned).when(result).isPlanned();
        doReturn(false).when(result).isProved();
        Optional<Planning.State> state = Optional.of(new Planning.State(0.4, "Placing leads", end));
        return new StageReport(result, Optional.empty(), state).stages();
    }

    @Test
    void aPlanThatIsMadeIsNotWaitedFor() {
        List<StageView> working = at(false, State.End.NONE);
        assertThat(working.get(0).isReady()).isTrue();
        assertThat(working.subList(1, 4)).allMatch(s -> s.state() == StageView.State.WORKING);
        assertThat(StageReport.nextAction(working)).isEqualTo("being planned");
        List<StageView> stopped = at(false, State.End.STOPPED);
        assertThat(StageReport.nextAction(stopped)).startsWith("Planning was stopped");
        List<StageView> failed = at(false, State.End.FAILED);
        assertThat(StageReport.next(failed).sentence()).isEqualTo("planning failed");
    }

    @Test
    void aPlanIsShownBeforeItIsProved() {
        List<StageView> working = at(true, State.End.NONE);
        assertThat(working.subList(0, 3)).allMatch(StageView::isReady);
        assertThat(working.get(3).state()).isEqualTo(StageView.State.WORKING);
        assertThat(StageReport.nextAction(working)).isEqualTo("being proved");
        assertThat(StageReport.nextAction(at(true, State.End.STOPPED)))
                .startsWith("The proof was stopped");
        assertThat(StageReport.next(at(true, State.End.FAILED)).sentence())
                .isEqualTo("proof failed");
    }
}
