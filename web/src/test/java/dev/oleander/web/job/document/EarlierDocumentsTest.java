package dev.oleander.web.job.document;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static dev.oleander.work.wire.WireCutting.WIRE;
import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.StopEvent;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.wire.choice.Matching;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireOrder;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Steps as they were kept when the plans of sheets and of wires stood side by side. */
class EarlierDocumentsTest {

    private static final Map<String, JobDocument> DOCUMENTS =
            documents("/documents-side-by-side.json");

    private static Map<String, JobDocument> documents(String resource) {
        try (InputStream in = EarlierDocumentsTest.class.getResourceAsStream(resource)) {
            Map<String, JobDocument> documents = new HashMap<>();
            for (JsonNode document : JsonMapper.shared().readTree(in)) {
                JobDocument read = DocumentJson.read(document);
                documents.put(read.name(), read);
            }
            return documents;
        } catch (IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    @Test
    void everyDocumentIsTheSameWhenItIsKeptAgain() {
        assertThat(DOCUMENTS).hasSize(6);
        for (JobDocument document : DOCUMENTS.values()) {
            JobDocument again = DocumentJson.read(DocumentJson.write(document));
            assertThat(again).isEqualTo(document);
            assertThat(DocumentJson.fingerprint(again))
                    .isEqualTo(DocumentJson.fingerprint(document));
        }
    }

    @Test
    void aSheetKeepsItsOrderItsPinsAndItsStops() {
        JobDocument panel = DOCUMENTS.get("Deck-hatch panel");
        RunChoices run = panel.choices(SHEET).run();
        assertThat(panel.choices(SHEET).order()).isEqualTo(OrderRule.BY_HAND);
        assertThat(run.sequence()).isNotEmpty();
        assertThat(run.pins()).containsExactly(List.of("c3.1", "c2.1"));
        JobDocument cheek = DOCUMENTS.get("Winch drum cheeks");
        assertThat(cheek.choices(SHEET).run().rule()).as("as usual").isEmpty();
        assertThat(cheek.choices(SHEET).order()).isEqualTo(OrderRule.PART_BY_PART);
        assertThat(cheek.choices(WIRE)).isEqualTo(WIRE.usual());
    }

    @Test
    void aWireKeepsItsOrderAndTakesThePinsAndEventsThatStoodWithThePlan() {
        JobDocument die = DOCUMENTS.get("Hawse funnel die");
        RunChoices run = die.choices(WIRE).run();
        assertThat(die.choices(WIRE).order()).isEqualTo(WireOrder.BY_HAND);
        assertThat(run.sequence())
                .containsExactly("c5.1", "c3.1", "c1.1", "c4.1", "c1.1-off", "c3.1-off");
        assertThat(run.pins()).containsExactly(List.of("c5.1", "c3.1"));
        assertThat(run.events().get("c5.1"))
                .containsExactly(new StopEvent(StopEvent.Kind.STOP, true, 20, "Look"));
        assertThat(die.choices(WIRE).stops().get("c1").upper().matching())
                .isEqualTo(Matching.LENGTH);
        assertThat(die.choices(WIRE).stops().get("c3").taper().usualAngle()).isEqualTo(1);
        assertThat(DOCUMENTS.get("Shim punch and die").choices(WIRE).sets()).containsExactly("c1");
    }

    @Test
    void recipesOfEveryKindAreReadThoughTheyWereKeptInTwoForms() {
        Map<String, JobDocument> documents = documents("/documents-with-recipes.json");
        List<Recipe<StopChoice>> sheet =
                documents.get("Sheave cheek plates").choices(SHEET).recipes();
        assertThat(sheet)
                .extracting(Recipe::rule)
                .containsExactly(
                        new Recipe.Rule("outline", null, 40.0),
                        new Recipe.Rule("hole", null, 12.0));
        assertThat(sheet).extracting(Recipe::order).containsOnly("");
        WireChoices die = documents.get("Hawse funnel die").choices(WIRE);
        assertThat(die.recipes().get(0).rule()).isEqualTo(new Recipe.Rule("opening", null, null));
        assertThat(die.recipes().get(0).order()).isEqualTo("unattendedFirst");
        assertThat(die.recipes().get(0).choice().slug().hold().value()).isEqualTo(2.2);
        assertThat(die.given()).containsEntry("c3", "Short holds");
        for (JobDocument document : documents.values()) {
            assertThat(document.sheet().parts()).as("before parts had numbers").isEmpty();
            assertThat(document.sheet().restAround()).as("before there were sheets").isNull();
            assertThat(DocumentJson.read(DocumentJson.write(document))).isEqualTo(document);
        }
    }
}
