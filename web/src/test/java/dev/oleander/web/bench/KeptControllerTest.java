package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.kept.KeptShapes;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Shapes with their values, kept by the shop. */
class KeptControllerTest extends WebTest {

    @Autowired private KeptController controller;
    @Autowired private KeptShapes kept;
    @Autowired private ShapeEdits edits;

    private long slot(String length) {
        JobDocument.Order order =
                new JobDocument.Order("Slot", "teasel", "mild steel", Typed.of(2), 1, "");
        long id = jobs.create(List.of(), order, d -> d, person("mira"));
        Map<String, String> values =
                Map.of("x", "10", "y", "20", "length", length, "width", "9 + t");
        jobs.edit(
                id,
                "Slot",
                edits.draw(new ShapeEdits.Wish("slot", null, List.of(), values)),
                person("mira"));
        return id;
    }

    @Test
    void valuesAreKeptAsTheyWereTypedWithoutThePlace() {
        long id = slot("60");
        assertThat(controller.keep(id, "d1", " Mooring <slot> ", person("mira")).getBody())
                .isEqualTo("Kept as Mooring &lt;slot>.");
        KeptShapes.Kept found = kept.of("slot").get(0);
        assertThat(found.name()).isEqualTo("Mooring <slot>");
        assertThat(found.owner()).isEqualTo("Mira Rosvold");
        assertThat(found.values()).isEqualTo(Map.of("length", "60", "width", "9 + t"));
        assertThat(kept.of("circle")).isEmpty();
        // the same name again is the newer one
        controller.keep(slot("75"), "d1", "Mooring <slot>", person("anselm"));
        assertThat(kept.of("slot")).hasSize(1);
        assertThat(kept.of("slot").get(0).values()).containsEntry("length", "75");
        controller.forget(id, kept.of("slot").get(0).id());
        assertThat(kept.of("slot")).isEmpty();
    }

    @Test
    void aNameIsAskedFor() {
        long id = slot("60");
        assertThat(controller.keep(id, "d1", "  ", person("mira")).getStatusCode().value())
                .isEqualTo(422);
        assertThat(controller.keep(id, "d1", "n".repeat(61), person("mira")).getBody())
                .isEqualTo("A name has 1 to 60 characters, not 61.");
        assertThatThrownBy(() -> controller.keep(id, "d7", "a", person("mira")))
                .isInstanceOf(NotFoundException.class);
        assertThat(kept.of("slot")).isEmpty();
    }
}
