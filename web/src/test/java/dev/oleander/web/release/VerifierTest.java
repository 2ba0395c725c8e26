package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.seal.SealSettings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Whatever is changed behind the application's back is found. */
class VerifierTest extends WebTest {

    @Autowired private ReleaseService releases;
    @Autowired private Verifier verifier;
    @Autowired private SealSettings seals;

    private Release released(String name) {
        long id = makeJobInMillimetres("cleat_backing_plate", name, 1);
        return releases.release(id, person("mira"));
    }

    /** Makes a change with all triggers off, hears what is found, and takes it back. */
    private List<String> found(String change, String back) {
        JdbcTemplate owner = owner();
        withoutTriggers(owner, change);
        try {
            Verifier.Shop shop = verifier.shop();
            assertThat(shop.intact()).as(change).isEqualTo(shop.faults().isEmpty());
            return shop.faults();
        } finally {
            withoutTriggers(owner, back);
            assertThat(verifier.shop().faults()).as("after " + back).isEmpty();
        }
    }

    private static void withoutTriggers(JdbcTemplate owner, String change) {
        for (String table : List.of("release", "seal_link")) {
            owner.execute("alter table %s disable trigger user".formatted(table));
        }
        try {
            owner.execute(change);
        } finally {
            for (String table : List.of("release", "seal_link")) {
                owner.execute("alter table %s enable trigger user".formatted(table));
            }
        }
    }

    @Test
    void everyColumnIsUnderTheSeal() {
        Release made = released("Every column");
        assertThat(verifier.shop().faults()).isEmpty();
        for (String column :
                List.of(
                        "revision = revision || 'x' / revision = left(revision, -1)",
                        "step = step + 1 / step = step - 1",
                        "machine = machine || 'x' / machine = left(machine, -1)",
                        "dialect = dialect || 'x' / dialect = left(dialect, -1)",
                        "dialect_version = dialect_version + 1 / dialect_version = dialect_version - 1",
                        "file_name = file_name || 'x' / file_name = left(file_name, -1)",
                        "program = program || ' ' / program = left(program, -1)",
                        "item_of_line = item_of_line || ' ' / item_of_line = left(item_of_line, -1)",
                        "inputs = inputs || ' ' / inputs = left(inputs, -1)",
                        "findings = findings || ' ' / findings = left(findings, -1)",
                        "motion = motion || '\\x00' / motion = substring(motion for length(motion) - 1)",
                        "sheet = sheet || '\\x00' / sheet = substring(sheet for length(sheet) - 1)",
                        "part_lines = part_lines || ' ' / part_lines = left(part_lines, -1)",
                        "trial = not trial / trial = not trial",
                        "greatest_deviation = -greatest_deviation / greatest_deviation = -greatest_deviation",
                        "seconds = -seconds / seconds = -seconds",
                        "released_as = released_as || 'x' / released_as = left(released_as, -1)",
                        "released_at = released_at + interval '1 day' / released_at = released_at - interval '1 day'",
                        "seal_version = 4 / seal_version = 5",
                        "run = 2 / run = 1",
                        "times = 2 / times = 1",
                        "released_by = (select id from account where username = 'tove')"
                                + " / released_by = (select id from account where username = 'mira')")) {
            String[] ways = column.split(" / ");
            String where = " where id = " + made.id();
            assertThat(
                            found(
                                    "update release set " + ways[0] + where,
                                    "update release set " + ways[1] + where))
                    .as(column)
                    .singleElement()
                    .asString()
                    .contains("Release %d,".formatted(made.id()), "is not as it was made");
        }
    }

    /** The text would read the same if values were only written below each other. */
    @Test
    void nothingIsShiftedBetweenValues() {
        Release made = released("Shifted");
        String where = " where id = " + made.id();
        assertThat(
                        found(
                                "update release set findings = 'x' || findings, inputs = inputs || E'\\n'"
                                        + where,
                                "update release set findings = substr(findings, 2),"
                                        + " inputs = left(inputs, -1)"
                                        + where))
                .isNotEmpty();
    }

    @Test
    void aReleaseThatVanishesIsMissed() {
        Release made = released("Vanishing");
        JdbcTemplate owner = owner();
        owner.execute("create table kept_release as select * from release where id = " + made.id());
        owner.execute(
                "create table kept_link as select * from seal_link where release_id = "
                        + made.id());
        try {
            assertThat(
                            found(
                                    "delete from seal_link where release_id = %1$d; delete from release where id = %1$d"
                                            .formatted(made.id()),
                                    "insert into release overriding system value select * from kept_release;"
                                            + " insert into seal_link select * from kept_link"))
                    .singleElement()
                    .asString()
                    .contains("the newest releases are missing");
        } finally {
            owner.execute("drop table kept_release");
            owner.execute("drop table kept_link");
        }
    }

    @Test
    void aReleaseThatIsSlippedInIsFound() {
        Release made = released("Slipped in");
        String columns =
                "job_id, step, machine, dialect, dialect_version, file_name, program, item_of_line,"
                        + " inputs, findings, motion, sheet, seal_version, part_lines, trial, run, times,"
                        + " greatest_deviation, seconds, sha256, previous_sha256, released_by,"
                        + " released_as, released_at";
        assertThat(
                        found(
                                "insert into release (revision, %1$s) select 'ZZ', %1$s from release where id = %2$d"
                                        .formatted(columns, made.id()),
                                "delete from release where revision = 'ZZ'"))
                .singleElement()
                .asString()
                .contains("has no link in the chain");
    }

    @Test
    void theChainCannotBeWrittenAnewWithoutTheKey() {
        Release made = released("Written anew");
        String where = " where release_id = " + made.id();
        assertThat(
                        found(
                                "update seal_link set made_at = made_at + interval '1 hour'"
                                        + where,
                                "update seal_link set made_at = made_at - interval '1 hour'"
                                        + where))
                .singleElement()
                .asString()
                .contains("is not as it was made");
        assertThat(
                        found(
                                "update seal_link set key_name = reverse(key_name)" + where,
                                "update seal_link set key_name = reverse(key_name)" + where))
                .singleElement()
                .asString()
                .contains("which is not kept here");
    }

    @Test
    void aNewKeySealsAndOldOnesVerify() throws IOException {
        Release before = released("Old key");
        Path keys = Path.of(seals.folder());
        Files.writeString(keys.resolve("key-0002"), "00112233445566778899aabbccddeeff".repeat(2));
        // it stays, as keys do: later releases are sealed with it too
        Release after = released("New key");
        String names =
                "select count(distinct key_name) from seal_link where release_id in (%d, %d)"
                        .formatted(before.id(), after.id());
        assertThat(owner().queryForObject(names, Integer.class)).isEqualTo(2);
        assertThat(verifier.shop().faults()).isEmpty();
    }

    @Test
    void oneReleaseAJobAndTheShopAreVerifiedOverHttp() {
        Release first = released("Over HTTP");
        jobs.edit(
                first.jobId(),
                "quantity",
                b -> OrderValues.QUANTITY.put(b.document(), "2"),
                person("mira"));
        Release second = releases.release(first.jobId(), person("mira"));
        ApiClient api = new ApiClient(port, "tove");
        JsonNode job = api.get("/api/jobs/%d/verify".formatted(first.jobId())).json();
        assertThat(job.get("intact").asBoolean()).isTrue();
        assertThat(job.get("checks")).hasSize(2);
        assertThat(job.get("checks").get(0).get("covers").asString())
                .isEqualTo("everything that is kept of it");
        assertThat(api.get("/api/releases/%d/verify".formatted(first.id())).json().get("checks"))
                .hasSize(1);
        JsonNode shop = api.get("/api/releases/verify").json();
        assertThat(shop.get("intact").asBoolean()).isTrue();
        assertThat(shop.get("releases").asLong()).isGreaterThanOrEqualTo(2);
        assertThat(second.previousSha256()).isEqualTo(first.sha256());
        assertThat(api.get("/api/jobs/999999/verify").status()).isEqualTo(404);
    }
}
