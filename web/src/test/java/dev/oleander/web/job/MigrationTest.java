package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.work.sheet.choice.OrderRule;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents of earlier versions are carried over. */
class MigrationTest extends WebTest {

    private static final String SCHEMA = "migration_test";

    private static final String FIRST_PLAN =
            """
            {"quality": "standard", "order": "SHORTEST", "sequence": [], "stops": {}, "smallHoles": null}
            """;

    @Autowired private Flyway flyway;

    private void migrateTo(String version) {
        Flyway.configure()
                .configuration(flyway.getConfiguration())
                .schemas(SCHEMA)
                .target(version)
                .load()
                .migrate();
    }

    /** A document of the first form: order and drawing side by side. */
    private static String firstForm() {
        JobDocument present =
                new JobDocument(
                        new JobDocument.Order("Kept", "teasel", "mild steel", Typed.of(6), 3),
                        ShapeChoices.of(List.of(4L)),
                        SheetChoices.defaults(),
                        Map.of());
        ObjectNode now = (ObjectNode) JsonMapper.shared().readTree(DocumentJson.write(present));
        ObjectNode first = JsonMapper.shared().createObjectNode();
        first.put("name", "Kept").put("machine", "teasel").put("material", "mild steel");
        first.set("thickness", now.get("order").get("thickness"));
        first.put("quantity", 3);
        first.putArray("files").add(4);
        first.put("unit", "INCH");
        first.putObject("layers").put("X", "MARK");
        first.putObject("features").put("c2", "IGNORE");
        first.set("gap", JsonMapper.shared().valueToTree(Typed.of(0.2)));
        first.set("plan", JsonMapper.shared().readTree(FIRST_PLAN));
        first.set("sheet", now.get("sheet"));
        first.putObject("acceptances").put("f", "seen");
        return first.toString();
    }

    @Test
    void aDocumentOfTheFirstFormIsReadAsWhatItWas() {
        migrateTo("1");
        JdbcTemplate sql = owner();
        sql.update(
                "insert into migration_test.account (username, full_name, password_hash, role, demo, created_at)"
                        + " values ('a', 'A', 'x', 'LEAD', false, now())");
        sql.update(
                "insert into migration_test.job (version, pointer, name, machine, material, thickness, quantity,"
                        + " stage, next_action, picture, owner_id, changed_by, created_at, changed_at)"
                        + " values (0, 1, 'Kept', 'teasel', 'mild steel', 6, 3, 'SHAPE', '', '', 1, 1, now(), now())");
        sql.update(
                "insert into migration_test.job_step (job_id, number, parent, label, document, account_id, made_at)"
                        + " values (1, 1, 0, 'Drawing brought in', ?::jsonb, 1, now())",
                firstForm());
        migrateTo("2");
        String migrated =
                sql.queryForObject("select document from migration_test.job_step", String.class);
        JobDocument document = DocumentJson.read(migrated);
        assertThat(document.name()).isEqualTo("Kept");
        assertThat(document.quantity()).isEqualTo(3);
        assertThat(document.order().customer()).isEmpty();
        assertThat(document.shape().files()).containsExactly(4L);
        assertThat(document.shape().unit()).isEqualTo(LengthUnit.INCH);
        assertThat(document.shape().rules().layers()).containsEntry("X", Purpose.MARK);
        assertThat(document.shape().features()).containsEntry("c2", Purpose.IGNORE);
        assertThat(document.shape().gap().value()).isEqualTo(0.2);
        assertThat(document.shape().mending())
                .containsExactlyInAnyOrderElementsOf(MendOptions.USUAL);
        assertThat(document.acceptances()).containsEntry("f", "seen");
        assertThat(document.choices(SHEET).order()).isEqualTo(OrderRule.SHORTEST);
        sql.execute("drop schema migration_test cascade");
    }
}
