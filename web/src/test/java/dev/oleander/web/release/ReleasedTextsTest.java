package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.Fault;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.counter.ShopCounters;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.JobDocument;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Texts that say what is released, and numbers that are given once. */
class ReleasedTextsTest extends WebTest {

    @Autowired private ReleaseService releases;
    @Autowired private ShapeEdits edits;
    @Autowired private ShopCounters counters;

    /** A tag with a text, of which some copies are wanted. */
    private long tag(int quantity, Map<String, String> text) {
        JobDocument.Order order =
                new JobDocument.Order(
                        "Berth tags", "teasel", "mild steel", Typed.of(2), quantity, "");
        long id = jobs.create(List.of(), order, d -> d, person("mira"));
        draw(id, "rectangle", Map.of("x", "0", "y", "0", "width", "160", "height", "30"));
        draw(id, "text", text);
        return id;
    }

    private void draw(long job, String command, Map<String, String> values) {
        jobs.edit(
                job,
                command,
                edits.draw(new ShapeEdits.Wish(command, null, List.of(), values)),
                person("mira"));
    }

    private static Map<String, String> counted(String counter) {
        return Map.of(
                "x", "5", "y", "10", "text", "{n}", "count", "3", "dx", "40", "counter", counter);
    }

    private void upToDate(long job) {
        JobService.Edit nothing = before -> before.document();
        jobs.edit(job, "Texts brought up to date", nothing, person("mira"));
    }

    @Test
    void theStampOfAJobIsThatOfItsNextRelease() {
        long id = tag(1, Map.of("x", "5", "y", "10", "text", "{job} {revision} {date}"));
        var stamp = jobs.view(id).document().shape().stamp();
        assertThat(stamp.job()).isEqualTo(String.valueOf(id));
        assertThat(stamp.revision()).isEqualTo("A");
        assertThat(stamp.part()).isEqualTo("Berth tags");
        assertThat(LocalDate.parse(stamp.date())).isAfter(LocalDate.of(2020, 1, 1));
        assertThat(releases.release(id, person("mira")).revision()).isEqualTo("A");
        assertThat(releases.obstacles(jobs.view(id)))
                .singleElement()
                .satisfies(
                        o -> {
                            assertThat(o.sentence())
                                    .isEqualTo("The texts say revision A, it will be B.");
                            assertThat(o.remedy()).isEqualTo("release/texts");
                        });
        assertThatThrownBy(() -> releases.release(id, person("mira")))
                .isInstanceOf(ReleaseRefusedException.class)
                .hasMessageContaining("it will be B");
        upToDate(id);
        assertThat(releases.release(id, person("mira")).revision()).isEqualTo("B");
    }

    @Test
    void aNumberIsGivenOnce() {
        long first = tag(1, counted("berths"));
        long second = tag(1, counted("berths"));
        assertThat(releases.release(first, person("mira")).revision()).isEqualTo("A");
        assertThat(counters.next(List.of("berths"))).containsEntry("berths", 4L);
        assertThat(releases.obstacles(jobs.view(second)).get(0).sentence())
                .isEqualTo("The texts say number 1, the next of \"berths\" is 4.");
        upToDate(second);
        releases.release(second, person("mira"));
        assertThat(counters.uses("berths", 10))
                .extracting(ShopCounters.Use::first, ShopCounters.Use::last, ShopCounters.Use::job)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(4L, 6L, second),
                        org.assertj.core.groups.Tuple.tuple(1L, 3L, first));
    }

    /** Somebody says where it begins, and it was there already. */
    @Test
    void aNumberThatWasUsedIsRefusedWithWhere() {
        long first = tag(1, counted("lockers"));
        releases.release(first, person("mira"));
        long second = tag(1, counted("lockers"));
        jobs.edit(second, "first", edits.setSteps(List.of("d2"), "first", "2"), person("mira"));
        assertThatThrownBy(() -> releases.release(second, person("mira")))
                .isInstanceOf(ReleaseRefusedException.class)
                .hasMessage(
                        "Number 2 of \"lockers\" was used in revision A of job %d; the next is 4."
                                .formatted(first));
        assertThat(releases.ofJob(second)).as("nothing is half done").isEmpty();
        assertThat(counters.next(List.of("lockers"))).containsEntry("lockers", 4L);
    }

    @Test
    void copiesThatWouldHaveTheSameNumbersAreRefused() {
        long id = tag(2, counted("moorings"));
        assertThatThrownBy(() -> releases.release(id, person("mira")))
                .isInstanceOf(ReleaseRefusedException.class)
                .hasMessageContaining("2 copies are cut", "numbers 1 to 3 of \"moorings\"");
        assertThat(counters.all()).noneMatch(c -> c.name().equals("moorings"));
    }

    @Test
    void textsThatAreTheSameAreSeenInTheReading() {
        long id =
                tag(
                        1,
                        Map.of(
                                "x", "5", "y", "10", "text", "{b}", "count", "2", "dx", "40",
                                "table", "b\n7\n7"));
        assertThat(jobs.view(id).result().reading().openFaults())
                .anyMatch(f -> f.kind() == Fault.Kind.NUMBER);
    }
}
