package dev.oleander.web.product;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Lying;
import dev.oleander.plan.panel.file.ProductReader;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Whether what is drawn and said of a turn leads from one way to lie to the other. */
class TurnPictureTest {

    private static final Panel PANEL =
            ProductReader.read(
                            ProductReader.parse(
                                    """
                                    {"name": "One", "quantity": 1,
                                     "materials": [{"id": "p", "thickness": 18,
                                       "board": {"length": 2500, "width": 1250, "grain": "none"}}],
                                     "panels": [{"id": "a", "quantity": 1, "material": "p",
                                       "length": 600, "width": 400, "thickness": 18}]}
                                    """))
                    .made()
                    .get(0);

    private static Clamping lies(Face up, int turn) {
        return new Clamping(new Lying(up, turn), List.of(Face.LEFT, Face.FRONT), List.of(), "");
    }

    /** Where the words for the large face stand in the last picture, against the first. */
    private static List<String> names(String svg) {
        Matcher names = Pattern.compile("face-name[^>]*>(\\w+)<").matcher(svg);
        return names.results().map(m -> m.group(1)).toList();
    }

    @Test
    void everyTurnEndsAsThePanelLiesThen() {
        for (Lying from : Lying.all()) {
            for (Lying to : Lying.all()) {
                TurnPicture turn =
                        new TurnPicture(
                                PANEL, lies(from.up(), from.turn()), lies(to.up(), to.turn()));
                for (Face face : Face.values()) {
                    assertThat(turn.ends(face.outward()).minus(to.turned(face.outward())).length())
                            .as("%s to %s, %s", from, to, face)
                            .isLessThan(1e-9);
                }
            }
        }
    }

    @Test
    void theFaceThatIsUpIsNamedBeforeAndAfter() {
        TurnPicture over = new TurnPicture(PANEL, lies(Face.TOP, 0), lies(Face.BOTTOM, 0));
        List<String> names = names(over.svg());
        assertThat(names.get(0)).isEqualTo("top");
        assertThat(names.get(names.size() - 1)).isEqualTo("bottom");
        assertThat(over.sentence())
                .isEqualTo(
                        "It is turned over its left and right ends as it lies, so that front and back stay.");
        TurnPicture about = new TurnPicture(PANEL, lies(Face.TOP, 0), lies(Face.TOP, 270));
        assertThat(about.sentence()).isEqualTo("It is turned by 90° on the table, clockwise.");
        assertThat(TurnPicture.isTurned(lies(Face.TOP, 0), lies(Face.TOP, 0))).isFalse();
    }
}
