package dev.oleander.work.router.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Difference.Asked;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.material.Wanted;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is left and what is gone, of whole programs and of such as were spoiled. */
class DifferenceTest {

    private static RouterTask task(String name, UnaryOperator<String> edit) {
        byte[] bytes = Samples.bytes("router/" + name + ".truth.json");
        String text = edit.apply(new String(bytes, StandardCharsets.UTF_8));
        JsonNode truth = JsonMapper.shared().readTree(text);
        Reading reading = Samples.reading("router/" + name);
        return RouterRequests.task(reading, truth.get("request"));
    }

    private static RouterTask task(String name) {
        return task(name, text -> text);
    }

    private static List<RouterStop> plan(RouterTask task) {
        return RouterPlanner.plan(task, Progress.NONE);
    }

    private static Difference.Found difference(RouterTask task, List<Cutting> cuttings) {
        List<RouterStop> stops = plan(task);
        List<Asked> asked =
                stops.stream()
                        .map(
                                s ->
                                        new Asked(
                                                s.id(),
                                                s.wanted(),
                                                s.tool().orElseThrow().kind().isFlat()))
                        .toList();
        Region stock = new Region(Contour.rectangle(task.stock()), List.of());
        return Difference.of(asked, new Removed(cuttings), stock, task.thickness());
    }

    private static List<Cutting> cuttings(RouterTask task) {
        return plan(task).stream().map(RouterStop::cutting).toList();
    }

    @Test
    void aSoundProgramLeavesWhatNoToolReachesAndNothingElse() {
        RouterTask panel = task("instrument_panel");
        Difference.Found found = difference(panel, cuttings(panel));
        assertThat(found.gouge()).isEmpty();
        // what the smallest tool does not reach of the corners
        assertThat(found.rests())
                .allSatisfy(
                        r -> {
                            assertThat(r.stop()).matches("(recess|corners)/.*");
                            assertThat(r.area()).isCloseTo(3.43, within(0.1));
                            assertThat(r.height()).isCloseTo(4, within(1e-6));
                        });
        RouterTask boards = task("hatch_boards");
        Difference.Found none = difference(boards, cuttings(boards));
        assertThat(none.rests()).isEmpty();
        assertThat(none.gouge()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"sole_board", "jar_rack", "drain_board", "hatch_bevel", "name_board_star"})
    void nothingIsMissingBeyondWhatIsAskedFor(String name) {
        RouterTask task = task(name);
        assertThat(difference(task, cuttings(task)).gouge()).isEmpty();
    }

    @Test
    void anAllowanceThatWasForgottenIsSeen() {
        RouterTask asked = task("hatch_boards");
        RouterTask made =
                task(
                        "hatch_boards",
                        t ->
                                t.replace(
                                        "\"kind\": \"pocket\",",
                                        "\"kind\": \"pocket\", \"allowance\": 0.5,"));
        Difference.Found found = difference(asked, cuttings(made));
        assertThat(found.gouge()).isEmpty();
        assertThat(found.rests()).hasSize(2);
        Contour finger =
                asked.reading().features().stream()
                        .filter(f -> f.layer().equals("FINGER"))
                        .findFirst()
                        .orElseThrow()
                        .contour();
        assertThat(found.rests().get(0).area())
                .isCloseTo(0.5 * finger.length(), within(0.05 * finger.length()));
        assertThat(found.rests().get(0).height()).isCloseTo(18, within(1e-6));
    }

    private static List<Cutting> spoiled(
            List<Cutting> cuttings, String stop, UnaryOperator<List<Leg>> how) {
        return cuttings.stream()
                .map(
                        c ->
                                c.stop().startsWith(stop)
                                        ? new Cutting(c.stop(), c.form(), how.apply(c.legs()))
                                        : c)
                .toList();
    }

    private static Leg moved(Leg leg, double up) {
        return new Leg(
                leg.segment(), leg.from(), leg.to(), leg.fromZ() + up, leg.toZ() + up, leg.pace());
    }

    @Test
    void aWrongHeightIsSeen() {
        RouterTask panel = task("instrument_panel");
        List<Cutting> all = cuttings(panel);
        Difference.Found high =
                difference(
                        panel,
                        spoiled(all, "recess", l -> l.stream().map(x -> moved(x, 0.1)).toList()));
        assertThat(high.rests()).anyMatch(r -> r.stop().startsWith("recess") && r.area() > 20_000);
        Difference.Found deep =
                difference(
                        panel,
                        spoiled(all, "recess", l -> l.stream().map(x -> moved(x, -0.1)).toList()));
        assertThat(deep.gouge())
                .hasValueSatisfying(g -> assertThat(g.area()).isGreaterThan(20_000));
        assertThat(deep.gouge().get().height()).isCloseTo(0.1, within(1e-6));
    }

    @Test
    void aMissingLevelIsSeen() {
        RouterTask boards = task("hatch_boards");
        List<Cutting> all = cuttings(boards);
        Difference.Found found =
                difference(
                        boards,
                        spoiled(
                                all,
                                "fingers",
                                legs -> legs.stream().filter(l -> l.lowest() > -15).toList()));
        assertThat(found.rests()).hasSize(2).allMatch(r -> r.area() > 3000);
    }

    @Test
    void aSwappedToolIsSeen() {
        RouterTask boards = task("hatch_boards");
        List<Cutting> swapped = new ArrayList<>();
        for (Cutting cutting : cuttings(boards)) {
            boolean drain = cutting.stop().startsWith("drains");
            swapped.add(
                    new Cutting(
                            cutting.stop(),
                            drain ? boards.tool(1).orElseThrow().form() : cutting.form(),
                            cutting.legs()));
        }
        Difference.Found found = difference(boards, swapped);
        assertThat(found.gouge()).isPresent();
    }

    @Test
    void aLostTabIsSeen() {
        RouterTask boards = task("hatch_boards");
        RouterTask without =
                task(
                        "hatch_boards",
                        t -> t.replaceAll("\"tabs\": \\{[^}]*\\}(?=\\s*\\}\\s*\\])", "\"t\": 0"));
        Difference.Found found = difference(boards, cuttings(without));
        assertThat(found.rests()).isEmpty();
        assertThat(found.gouge())
                .hasValueSatisfying(g -> assertThat(g.height()).isCloseTo(4, within(1e-6)));
        assertThat(plan(without).stream().filter(RouterStop::frees)).isNotEmpty();
        assertThat(plan(boards).stream().filter(s -> s.operation().equals("outlines")))
                .noneMatch(RouterStop::frees);
    }

    /** Outline 100 x 60 in 18 mm, with a tab of 5 mm in the middle of each side. */
    private static final Contour OUTLINE =
            Contour.rectangle(Box.of(Point.ORIGIN, new Point(100, 60)));

    private static Difference.Found overATab(double topOfTab) {
        Box tab = Box.of(new Point(46, -6), new Point(54, 0));
        Region core = new Region(Contour.rectangle(tab), List.of());
        Wanted groove =
                new Wanted(
                        Offsetter.round().offset(OUTLINE, 6),
                        18,
                        List.of(new Wanted.Kept(core, core, topOfTab)));
        Point from = new Point(0, -3);
        Point to = new Point(100, -3);
        // passes the tab between 9.2 and 10.8 mm deep, and comes to 20 beyond it
        Leg ramp = Leg.along(new Line(from, to), 0, -20, Leg.Pace.RAMP);
        Tool.Form mill = new Tool.Form(ToolKind.STRAIGHT, 6, 0, 0, 0, 0);
        List<Asked> asked = List.of(new Asked("ramp", groove, true));
        List<Cutting> cuttings = List.of(new Cutting("ramp", mill, List.of(ramp)));
        Region stock =
                new Region(
                        Contour.rectangle(Box.of(new Point(-50, -50), new Point(150, 110))),
                        List.of());
        return Difference.of(asked, new Removed(cuttings, Difference.heights(asked)), stock, 18);
    }

    @Test
    void aRampThatPassesOverATabDoesNotCutIt() {
        // the tool reaches 3 mm to either side: it is there from 8.6 to 11.4 mm deep
        assertThat(overATab(11.5).gouge()).isEmpty();
        assertThat(overATab(10.5).gouge()).isPresent();
    }

    @Test
    void oneStopLeavesTheSameWhateverIsBesideIt() {
        RouterTask panel = task("instrument_panel");
        List<RouterStop> stops = plan(panel);
        Difference.Found together = difference(panel, cuttings(panel));
        for (Difference.Piece rest : together.rests()) {
            RouterStop stop =
                    stops.stream()
                            .filter(s -> s.id().equals(rest.stop()))
                            .findFirst()
                            .orElseThrow();
            List<Asked> alone = List.of(new Asked(stop.id(), stop.wanted(), true));
            Region stock = new Region(Contour.rectangle(panel.stock()), List.of());
            List<Cutting> all = cuttings(panel);
            Difference.Found found =
                    Difference.of(alone, new Removed(all), stock, panel.thickness());
            assertThat(found.rests()).hasSize(1);
            assertThat(found.rests().get(0).area()).isCloseTo(rest.area(), within(1e-6));
        }
    }
}
