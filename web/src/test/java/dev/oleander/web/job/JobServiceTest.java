package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.DrawingException;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.store.JobRepository;
import dev.oleander.work.sheet.choice.OrderRule;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

class JobServiceTest extends WebTest {

    @Autowired private ValueEdits valueEdits;
    @Autowired private RunEdits runEdits;
    @Autowired private JobRepository repository;
    @Autowired private JdbcTemplate sql;

    private JobView rename(long id, String name) {
        return jobs.edit(id, "name", b -> OrderValues.NAME.put(b.document(), name), person("mira"));
    }

    @Test
    void editsAreStepsThatUndoAndRedoWalk() {
        long id = makeJob("cleat_backing_plate", "One", 1);
        rename(id, "Two");
        rename(id, "Three");
        assertThat(jobs.view(id).undoLabel()).contains("name");
        assertThat(jobs.undo(id, person("mira")).document().name()).isEqualTo("Two");
        assertThat(jobs.undo(id, person("mira")).document().name()).isEqualTo("One");
        assertThat(jobs.view(id).undoLabel()).isEmpty();
        assertThat(jobs.undo(id, person("mira")).document().name()).isEqualTo("One");
        assertThat(jobs.redo(id, person("mira")).document().name()).isEqualTo("Two");
        rename(id, "Another way");
        assertThat(jobs.view(id).redoLabel()).isEmpty();
        assertThat(jobs.undo(id, person("mira")).document().name()).isEqualTo("Two");
        assertThat(jobs.redo(id, person("mira")).document().name()).isEqualTo("Another way");
        assertThat(repository.findById(id).orElseThrow().name()).isEqualTo("Another way");
    }

    @Test
    void whoRenamesAJobHasItNotPlannedAnew() {
        long id = makeJob("cleat_backing_plate", "Before", 2);
        JobResult before = jobs.view(id).result();
        JobView after = rename(id, "After");
        assertThat(after.document().name()).isEqualTo("After");
        assertThat(after.planning()).isEmpty();
        assertThat(after.result().run()).isSameAs(before.run());
        assertThat(after.result().proof()).isSameAs(before.proof());
        assertThat(before.document().name()).isEqualTo("Before");
        JobView more =
                jobs.edit(
                        id, "n", b -> OrderValues.QUANTITY.put(b.document(), "3"), person("mira"));
        assertThat(more.result().run()).isNotSameAs(before.run());
    }

    @Test
    void anEditThatChangesNothingMakesNoStep() {
        long id = makeJob("cleat_backing_plate", "Same", 1);
        assertThat(rename(id, "Same").step()).isEqualTo(jobs.view(id).step()).isEqualTo(1);
    }

    @Test
    void theLaterOfTwoPeopleIsToldWhatChanged() {
        long id = makeJob("cleat_backing_plate", "Shared", 1);
        int seen = jobs.view(id).step();
        jobs.edit(
                id,
                seen,
                "thickness",
                b -> OrderValues.THICKNESS.put(b.document(), "8"),
                person("anselm"));
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        id,
                                        seen,
                                        "quantity",
                                        b -> OrderValues.QUANTITY.put(b.document(), "9"),
                                        person("mira")))
                .isInstanceOf(StaleEditException.class)
                .hasMessageContaining("Anselm Byre changed this job meanwhile: thickness");
        assertThat(jobs.view(id).document().quantity()).isEqualTo(1);
    }

    @Test
    void aDrawingThatCannotBeReadLeavesNothingBehind() {
        long before = repository.count();
        JobDocument.Order order =
                new JobDocument.Order("Bad", "teasel", "mild steel", Typed.of(6), 1);
        assertThatThrownBy(
                        () ->
                                jobs.create(
                                        List.of(new Upload("x.dxf", new byte[0])),
                                        order,
                                        d -> d,
                                        person("mira")))
                .isInstanceOf(DrawingException.class);
        assertThat(repository.count()).isEqualTo(before);
        assertThat(
                        sql.queryForObject(
                                "select count(*) from drawing_file where name = 'x.dxf'",
                                Long.class))
                .isZero();
    }

    @Test
    void severalDrawingsMakeOneJob() {
        JobDocument.Order order =
                new JobDocument.Order("Both", "teasel", "mild steel", Typed.of(6), 1);
        long id =
                jobs.create(
                        List.of(
                                new Upload("a.dxf", sample("cleat_backing_plate")),
                                new Upload("b.dxf", sample("chain_stopper_pawl"))),
                        order,
                        WebTest::inMillimetres,
                        person("mira"));
        assertThat(jobs.view(id).result().reading().parts()).hasSize(3);
        assertThat(jobs.view(id).result().proof().releasable()).isTrue();
    }

    @Test
    void ordersThatMakeNoSenseAreRefusedWithTheirLimit() {
        long id = makeJob("cleat_backing_plate", "Limits", 1);
        assertRefused(id, OrderValues.THICKNESS, "-3", "-3 mm; it must be more than 0");
        assertRefused(id, OrderValues.QUANTITY, "0", "between 1 and 5000");
        assertRefused(id, OrderValues.QUANTITY, "2.5", "not a whole number");
        assertRefused(id, OrderValues.MATERIAL, "cork", "no data for \"cork\"");
        assertRefused(id, OrderValues.NAME, " ", "needs a name");
        assertRefused(id, OrderValues.UNIT, "cubit", "no unit of length");
        assertThat(jobs.view(id).step()).isEqualTo(1);
    }

    private void assertRefused(long id, Value<JobDocument> field, String value, String sentence) {
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        id,
                                        "x",
                                        b -> field.put(b.document(), value),
                                        person("mira")))
                .isInstanceOfAny(RefusedEditException.class, ValueException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aLeadForAllCopiesReplacesThoseOfSingleOnes() {
        long id = makeJob("cleat_backing_plate", "Copies", 3);
        Stop outline = outline(id, 1);
        edit(id, outline.id(), Scope.COPY, "leadIn.radius", "2");
        assertThat(outline(id, 1).leadIn().radius()).isEqualTo(2);
        assertThat(outline(id, 2).leadIn().radius()).isEqualTo(4);
        edit(id, outline.id(), Scope.ALL, "leadIn.radius", "k*10");
        assertThat(outline(id, 1).leadIn().radius()).isEqualTo(2.6);
        assertThat(outline(id, 3).leadIn().radius()).isEqualTo(2.6);
        edit(id, outline.id(), Scope.ALL, "leadIn.radius", "");
        assertThat(jobs.view(id).document().choices(SHEET).stops()).isEmpty();
    }

    @Test
    void aLeadThatBitesIsNotTaken() {
        long id = makeJob("cleat_backing_plate", "Bites", 1);
        Stop hole =
                jobs.view(id).result().run().stops().stream()
                        .filter(s -> s.name().equals("Hole Ø 11"))
                        .findFirst()
                        .orElseThrow();
        assertThatThrownBy(() -> edit(id, hole.id(), Scope.ALL, "leadIn.radius", "30"))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("(Hole Ø 11)")
                .hasMessageContaining("0.13 mm");
        assertThatThrownBy(() -> edit(id, hole.id(), Scope.ALL, "leadIn.radius", "-1"))
                .isInstanceOf(FormulaException.class)
                .hasMessageContaining("between 0.05 and 500");
        assertThat(jobs.view(id).step()).isEqualTo(1);
    }

    @Test
    void stopsMoveUnlessAPieceWouldBeFree() {
        long id = makeJob("cleat_backing_plate", "Order", 1);
        List<Stop> before = jobs.view(id).result().run().stops();
        String first = before.get(0).id();
        jobs.edit(id, "order", runEdits.shift(List.of(first), false), person("mira"));
        List<Stop> after = jobs.view(id).result().run().stops();
        assertThat(after.get(1).id()).isEqualTo(first);
        assertThat(jobs.view(id).document().choices(SHEET).order()).isEqualTo(OrderRule.BY_HAND);
        String outline = outline(id, 1).id();
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        id,
                                        "order",
                                        runEdits.move(List.of(outline), first),
                                        person("mira")))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("must come after stop");
    }

    @Test
    void whatIsKeptIsNeverChangedNeitherByTheApplicationNorByTheOwnerOfTheTables() {
        makeJob("cleat_backing_plate", "Kept", 1);
        Map<String, String> columns =
                Map.of(
                        "job_step", "label",
                        "drawing_file", "name",
                        "release", "sha256",
                        "format_version", "note",
                        "book_change", "note",
                        "seal_link", "code");
        for (String table : columns.keySet()) {
            for (String change :
                    List.of("update %s set %2$s = %2$s", "delete from %s", "truncate %s cascade")) {
                String column = columns.get(table);
                String statement = change.formatted(table, column);
                assertThatThrownBy(() -> sql.execute(statement))
                        .as(statement)
                        .isInstanceOf(DataAccessException.class)
                        .rootCause()
                        .hasMessageContaining("permission denied");
            }
            assertThatThrownBy(() -> owner().execute("truncate " + table + " cascade"))
                    .as(table)
                    .hasMessageContaining("never changed");
        }
        for (String change :
                List.of(
                        "update job_step set label = 'x'",
                        "delete from job_step",
                        "update drawing_file set name = 'x'",
                        "update release set program = 'x'",
                        "delete from seal_link",
                        "delete from release")) {
            assertThatThrownBy(() -> owner().execute(change))
                    .isInstanceOf(DataAccessException.class)
                    .hasMessageContaining("never changed");
        }
    }

    @Test
    void theRoleOfTheApplicationOwnsNothing() {
        assertThat(
                        sql.queryForObject(
                                "select usesuper from pg_user where usename = current_user",
                                Boolean.class))
                .isFalse();
        assertThat(
                        sql.queryForList(
                                "select relname from pg_class where relowner = current_user::regrole"))
                .isEmpty();
        for (String change :
                List.of(
                        "alter table release disable trigger all",
                        "drop table release cascade",
                        "drop trigger release_is_immutable on release",
                        "create table mine (a int)",
                        "set session_replication_role = replica")) {
            assertThatThrownBy(() -> sql.execute(change))
                    .as(change)
                    .isInstanceOf(DataAccessException.class);
        }
    }

    @Test
    void equalDocumentsHaveEqualFingerprints() {
        long id = makeJob("cleat_backing_plate", "Print", 1);
        JobDocument document =
                jobs.view(id)
                        .document()
                        .withAcceptance("b", "1")
                        .withAcceptance("a", "2")
                        .withAcceptance("c", "3");
        JobDocument again = DocumentJson.read(DocumentJson.write(document));
        assertThat(again).isEqualTo(document);
        assertThat(DocumentJson.fingerprint(again)).isEqualTo(DocumentJson.fingerprint(document));
        assertThat(DocumentJson.fingerprint(document.withAcceptance("c", "4")))
                .isNotEqualTo(DocumentJson.fingerprint(document));
    }

    private Stop outline(long id, int copy) {
        return jobs.view(id).result().run().stops().stream()
                .filter(s -> s.name().equals("Outline") && s.copy() == copy)
                .findFirst()
                .orElseThrow();
    }

    private void edit(long id, String stop, Scope scope, String word, String value) {
        JobService.Edit edit = valueEdits.ofStops(List.of(stop), scope, Map.of(word, value));
        jobs.edit(id, "x", edit, person("mira"));
    }
}
