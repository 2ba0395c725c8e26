package dev.oleander.nesting.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestScore;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class NestFileTest {

    private static final String TASK =
            """
            {"gap": 4, "margin": 8, "shapes": [{"id": "s", "outer": [[0,0,0],[90,0,0],[90,40,0],[0,40,0]], "openings": []}],
             "lines": [{"id": "l", "job": "J", "shape": "s", "quantity": 3, "priority": 2, "turns": "half", "mirror": true}],
             "sheets": [{"id": "f", "outline": [[0,0,0],[500,0,0],[500,300,0],[0,300,0]], "holes": [], "count": 2, "price": 10, "grain": 90}]}
            """;

    @Test
    void everyFieldIsRead() {
        NestTask task = NestFile.task(TASK);
        assertThat(task.rules().gap()).isEqualTo(4);
        assertThat(task.rules().margin()).isEqualTo(8);
        assertThat(task.lines().get(0).quantity()).isEqualTo(3);
        assertThat(task.lines().get(0).priority()).isEqualTo(2);
        assertThat(task.lines().get(0).mirror()).isTrue();
        assertThat(task.lines().get(0).turns()).isEqualTo(AllowedTurns.HALF);
        assertThat(task.lines().get(0).shape().area()).isCloseTo(3600, within(1e-9));
        assertThat(task.stock().get(0).count()).hasValue(2);
        assertThat(task.stock().get(0).grain()).hasValue(90.0);
        assertThat(task.stock().get(0).isPlain()).isTrue();
    }

    @Test
    void samplesAreReadWithTheirArcsAndHoles() {
        NestTask task = NestTasks.sample("remnants110");
        assertThat(task.stock()).hasSize(6);
        assertThat(task.sheet("R2 with holes").region().openings()).hasSize(2);
        assertThat(task.lines().stream().mapToInt(l -> l.quantity()).sum()).isEqualTo(110);
        assertThat(NestTasks.sample("locked40").locked().get(0).placements()).hasSize(5);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"gap\": 4 | \"gap\": -1 | Gap -1.0 mm, margin 8.0 mm: neither may be less than 0.",
                "\"gap\": 4 | \"gap\": \"wide\" | gap must be a number",
                "\"quantity\": 3 | \"quantity\": 0 | l: 0 are asked for; a line holds 1 to 5000.",
                "\"quantity\": 3 | \"quantity\": 1000000 | l: 1000000 are asked for",
                "\"priority\": 2 | \"priority\": 12 | l: priority 12; priorities go from 1 to 9.",
                "\"shape\": \"s\" | \"shape\": \"t\" | Line l: there is no shape",
                "\"half\" | \"sideways\" | Line l: turns",
                "\"half\" | 7 | A step of 7.0 degrees between turns",
                "[90,40,0] | [90,\"x\",0] | The shape s has a vertex that is not three numbers",
                "[500,0,0],[500,300,0],[0,300,0] | [0,0,0] | The sheet f has a loop of 1 different vertices",
                "\"price\": 10 | \"price\": -10 | Sheet f: 2 of them at a price of -10.0",
            })
    void whatIsWrongIsToldWithItsPlace(String right, String wrong, String sentence) {
        String text = TASK.replace(right.strip(), wrong.strip());
        assertThat(text).isNotEqualTo(TASK);
        assertThatThrownBy(() -> NestFile.task(text))
                .isInstanceOf(NestException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void whatIsLockedMustBeAskedFor() {
        String fixed = "{\"stock\": \"%s\", \"line\": \"%s\", \"x\": 8, \"y\": 8}";
        String text = TASK.strip().replaceFirst("\\}$", ", \"locked\": [%s]}");
        assertThatThrownBy(() -> NestFile.task(text.formatted(fixed.formatted("f", "k"))))
                .hasMessage("There is no line k.");
        assertThatThrownBy(() -> NestFile.task(text.formatted(fixed.formatted("g", "l"))))
                .hasMessage("There is no sheet g.");
        String one = fixed.formatted("f", "l");
        String four = String.join(",", one, one, one, one);
        assertThatThrownBy(() -> NestFile.task(text.formatted(four)))
                .hasMessage("4 parts of l are locked; 3 are asked for.");
    }

    @Test
    void whatIsNoTaskIsRefused() {
        assertThatThrownBy(() -> NestFile.task("{")).isInstanceOf(NestException.class);
        assertThatThrownBy(() -> NestFile.task("{\"gap\": 1, \"margin\": 1}"))
                .hasMessage("There are 0 lines and 0 kinds of sheet; one of each is needed.");
    }

    @Test
    void aResultHoldsEveryPlacementToTheLastDigit() {
        NestPlacement one = new NestPlacement("l", new Point(0.1 + 0.2, 8), 180, true, false);
        Nest nest =
                new Nest(
                        List.of(new NestedSheet("f", List.of(one))),
                        new NestScore(new double[9], 10, 98),
                        7,
                        5,
                        0);
        JsonNode file = JsonMapper.shared().readTree(NestFile.result(nest, "t", 1.5, 3));
        JsonNode placement = file.get("sheets").get(0).get("placements").get(0);
        assertThat(placement.get("x").asDouble()).isEqualTo(0.1 + 0.2);
        assertThat(placement.get("angle").asDouble()).isEqualTo(180);
        assertThat(placement.get("mirrored").asBoolean()).isTrue();
        assertThat(file.get("rounds").asInt()).isEqualTo(7);
        assertThat(file.get("explored").asInt()).isEqualTo(5);
    }
}
