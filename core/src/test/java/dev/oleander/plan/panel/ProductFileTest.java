package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.plan.panel.whole.Mates;
import dev.oleander.plan.panel.whole.Twins;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Products as files: read, written, refused with a sentence. */
class ProductFileTest {

    @Test
    void allBadProductsAreRefusedWithWhatIsWrong() {
        for (JsonNode bad : Panels.json("bad_products.truth.json").path("cases")) {
            String text = bad.path("product").toString();
            assertThatThrownBy(() -> ProductReader.read(ProductReader.parse(text)))
                    .as(bad.path("why").asString())
                    .isInstanceOf(PanelException.class)
                    .satisfies(
                            e -> {
                                for (JsonNode word : bad.path("sentenceNames")) {
                                    assertThat(e.getMessage()).contains(word.asString());
                                }
                                for (JsonNode place : bad.path("places")) {
                                    assertThat(e.getMessage()).contains(place.asString());
                                }
                            });
        }
    }

    @Test
    void whatIsWrittenReadsTheSame() {
        String text = ProductReader.write(Panels.file());
        assertThat(ProductReader.parse(text)).isEqualTo(Panels.file());
        assertThat(ProductReader.read(ProductReader.parse(text)).panels()).hasSize(10);
    }

    private static String product(String more, String panels) {
        return """
        {"name": "Chart table", "quantity": 2, %s "materials": [{"id": "p", "thickness": 18,
          "board": {"length": 2500, "width": 1250, "grain": "length"}}], "panels": [%s]}
        """
                .formatted(more, panels);
    }

    private static String panel(String id, String features) {
        return """
        {"id": "%s", "quantity": 1, "material": "p", "length": "L", "width": 400, "thickness": 18, "features": [%s]}
        """
                .formatted(id, features);
    }

    private static Product read(String parameters, String panels) {
        return ProductReader.read(
                ProductReader.parse(
                        product("\"parameters\": {%s},".formatted(parameters), panels)));
    }

    private static String hole(String face, double u, double v, Object depth) {
        return """
        {"id": "h1", "face": "%s", "kind": "hole", "at": [%s, %s], "diameter": 8, "depth": %s, "tag": "dowel"}
        """
                .formatted(face, u, v, depth);
    }

    @Test
    void parametersMayUseEachOther() {
        Product product = read("\"L\": \"2*H+20\", \"H\": 290", panel("a", ""));
        assertThat(product.panels().get(0).size().length()).isEqualTo(600);
    }

    @Test
    void whatCannotBeIsSaid() {
        refused("\"L\": \"H\", \"H\": \"L\"", panel("a", ""), "circle");
        refused("\"L\": \"3+\"", panel("a", ""), "Parameter L");
        refused("", panel("a", ""), "Panel a, length");
        refused("\"L\": 600", panel("a", hole("top", 10, 10, "null")), "no depth");
        refused("\"L\": 600", panel("a", hole("left", 10, 12, -3)), "depth is -3");
        refused("\"L\": 600", "", "0 panels");
        assertThatThrownBy(() -> ProductReader.parse("[]")).isInstanceOf(PanelException.class);
        assertThatThrownBy(() -> ProductReader.parse("{\"name\": 3, \"colour\": \"red\"}"))
                .isInstanceOf(PanelException.class)
                .hasMessageContaining("colour");
    }

    private static void refused(String parameters, String panels, String word) {
        assertThatThrownBy(() -> read(parameters, panels))
                .isInstanceOf(PanelException.class)
                .hasMessageContaining(word);
    }

    @Test
    void featuresOfBothFacesMustNotMeet() {
        String pocket =
                """
                {"id": "%s", "face": "%s", "kind": "pocket", "depth": %s,
                 "outline": [[100, %s], [200, %s], [200, %s], [100, %s]]}
                """;
        String above = pocket.formatted("p1", "top", 10, 100, 100, 150, 150);
        // the bottom is seen from below: its v runs the other way
        String below = pocket.formatted("p5", "bottom", 10, 250, 250, 300, 300);
        refused(
                "\"L\": 600",
                panel("a", above + "," + below),
                "p1 and p5 overlap and leave -2 mm of 18");
        String beside = pocket.formatted("p5", "bottom", 10, 100, 100, 150, 150);
        assertThat(read("\"L\": 600", panel("a", above + "," + beside)).panels()).hasSize(1);
    }

    // ---- panels that are alike

    @Test
    void aPanelThatIsTurnedOverIsTheSameBody() {
        Product product =
                read(
                        "\"L\": 600",
                        panel("a", hole("top", 50, 60, 10))
                                + ","
                                + panel("b", hole("bottom", 50, 60, 10))
                                + ","
                                + panel("c", hole("top", 550, 60, 10))
                                + ","
                                + panel("d", hole("top", 51, 60, 10)));
        Twins twins = Twins.of(product);
        assertThat(twins.equalTo("b")).contains("a");
        assertThat(twins.mirrorOf("c")).contains("a");
        assertThat(twins.equalTo("c")).isEmpty();
        assertThat(twins.equalTo("d")).isEmpty();
        assertThat(twins.mirrorOf("d")).isEmpty();
    }

    // ---- holes that meet

    private static String placed(String id, double y, String axes, String features) {
        return """
        {"id": "%s", "quantity": 1, "material": "p", "length": 600, "width": 400, "thickness": 18,
         "placed": {"origin": [0, %s, 0], %s}, "features": [%s]}
        """
                .formatted(id, y, axes, features);
    }

    private static Mates mates(double at, double diameter, String parameters) {
        String lying = "\"x\": [1, 0, 0], \"y\": [0, 1, 0]";
        String standing = "\"x\": [1, 0, 0], \"y\": [0, 0, 1]";
        // the bottom of the second, which stands, lies at the front of the first
        String first = placed("a", 0, lying, hole("back", 500, 9, 25));
        String second =
                placed("b", 418, standing, hole("top", at, 9, 13))
                        .replace("\"diameter\": 8", "\"diameter\": " + diameter);
        return Mates.of(read("\"L\": 600" + parameters, first + "," + second));
    }

    @Test
    void holesThatFaceEachOtherMeet() {
        // y of the product is away from the top of a panel whose width stands up
        assertThat(mates(100, 8, "").pairs()).hasSize(1);
    }

    @Test
    void holesThatDoNotFitAreTold() {
        assertThat(mates(132, 8, "").faults().get(0).sentence())
                .contains("miss each other by 32 mm");
        assertThat(mates(100, 5, "").faults().get(0).sentence()).contains("Ø 8 and Ø 5");
        assertThat(mates(300, 8, "").faults()).hasSize(2);
        assertThat(mates(100, 8, ", \"dowel\": 40").faults().get(0).sentence())
                .contains("38 mm deep together", "needs 41");
    }
}
