package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The same parts cut in other ways: what is left and what is gone is the same. */
class WaysOfCuttingTest {

    private static final JsonMapper MAPPER = JsonMapper.shared();

    /** A sample whose operations are changed before they are planned. */
    private static RouterRun changed(String name, BiConsumer<String, ObjectNode> change) {
        JsonNode truth = RouterJobs.truth(name).deepCopy();
        for (JsonNode operation : truth.at("/request/operations")) {
            change.accept(operation.get("kind").asString(), (ObjectNode) operation);
        }
        return RouterJobs.run(
                RouterJobs.task(
                        Samples.reading("router/" + name),
                        RouterJobs.wished(truth.get("request")),
                        truth.at("/job/material").asString(),
                        truth.at("/job/thickness").asDouble(),
                        1));
    }

    private static void set(ObjectNode operation, String field, String json) {
        operation.set(field, MAPPER.readTree(json));
    }

    /** Same rests, and nothing beyond. */
    private static void requireSame(RouterRun run, RouterRun usual) {
        RouterJobs.requireSound(run);
        Map<String, Difference.Piece> rests = rests(usual);
        assertThat(rests(run).keySet()).isEqualTo(rests.keySet());
        rests(run)
                .forEach(
                        (stop, rest) ->
                                assertThat(rest.area())
                                        .as(stop)
                                        .isCloseTo(rests.get(stop).area(), within(0.05)));
        assertThat(run.difference().gouge()).isEmpty();
    }

    private static Map<String, Difference.Piece> rests(RouterRun run) {
        return run.difference().rests().stream()
                .collect(Collectors.toMap(Difference.Piece::stop, r -> r));
    }

    private static List<RouterStop> of(RouterRun run, String operation) {
        return run.plan().done().stream().filter(s -> s.operation().equals(operation)).toList();
    }

    // ---- pockets

    @ParameterizedTest
    @ValueSource(strings = {"instrument_panel", "hatch_boards", "drain_board"})
    void pocketsAreClearedEvenly(String name) {
        RouterRun even =
                changed(
                        name,
                        (kind, operation) -> {
                            if (kind.equals("pocket") || kind.equals("rest")) {
                                operation.put("manner", "even");
                            }
                        });
        requireSame(even, RouterJobs.requested(name));
        for (Map.Entry<String, Engaged> of : even.engaged().entrySet()) {
            RouterStop stop = even.plan().stop(of.getKey()).orElseThrow();
            double over = even.plan().clearing(stop).orElseThrow().over().orElse(0.45);
            double wished = Math.toDegrees(Math.acos(1 - 2 * over));
            assertThat(of.getValue().peak()).as(stop.id()).isLessThanOrEqualTo(1.05 * wished + 0.5);
        }
    }

    @Test
    void roundsAreInTheWorkAsWideAsTheToolWhereTheyBegin() {
        RouterRun usual = RouterJobs.requested("instrument_panel");
        Engaged rounds =
                usual.engaged().values().stream()
                        .filter(e -> e.full() > 0)
                        .findFirst()
                        .orElseThrow();
        assertThat(rounds.peak()).isGreaterThan(100);
        boolean slowed =
                usual.plan().done().stream()
                        .flatMap(s -> s.legs().stream())
                        .anyMatch(l -> l.pace() == Leg.Pace.FULL);
        assertThat(slowed).isTrue();
        usual.plan()
                .feeds()
                .values()
                .forEach(f -> assertThat(f.full()).isLessThanOrEqualTo(f.feed()));
    }

    // ---- ways down

    @ParameterizedTest
    @ValueSource(strings = {"ramp", "zigzag", "plunge"})
    void toolsGoDownAsIsWished(String entry) {
        RouterRun usual = RouterJobs.requested("hatch_boards");
        RouterRun run =
                changed(
                        "hatch_boards",
                        (kind, operation) -> {
                            if (!kind.equals("drill") && !kind.equals("bore")) {
                                set(operation, "entry", "{\"kind\": \"%s\"}".formatted(entry));
                            }
                        });
        requireSame(run, usual);
        boolean ramps =
                run.plan().done().stream()
                        .filter(s -> s.figures().visits().isEmpty())
                        .filter(s -> s.figures().tabs() == 0)
                        .flatMap(s -> s.legs().stream())
                        .anyMatch(l -> l.pace() == Leg.Pace.RAMP);
        assertThat(ramps).isEqualTo(!entry.equals("plunge"));
    }

    @Test
    void aHelixLeadsIntoAPocket() {
        RouterRun run =
                changed(
                        "instrument_panel",
                        (kind, operation) -> {
                            if (kind.equals("pocket")) {
                                set(operation, "entry", "{\"kind\": \"helix\", \"angle\": \"2\"}");
                            }
                        });
        requireSame(run, RouterJobs.requested("instrument_panel"));
        for (RouterStop stop : run.plan().done()) {
            if (run.plan().clearing(stop).filter(c -> c.restOf().isEmpty()).isPresent()) {
                for (Leg leg : stop.legs()) {
                    double fall = leg.fromZ() - leg.toZ();
                    if (leg.pace() == Leg.Pace.RAMP) {
                        double length = leg.segment().orElseThrow().length();
                        assertThat(Math.toDegrees(Math.atan2(fall, length))).isLessThan(2.0001);
                    }
                }
            }
        }
    }

    @Test
    void aWayDownThatTheToolCannotGoIsRefused() {
        Map<String, String> sentences =
                Map.of(
                        "{\"kind\": \"ramp\", \"angle\": \"40\"}",
                        "a way down at 40°; tool",
                        "{\"kind\": \"helix\", \"radius\": \"D\"}",
                        "leaves a post",
                        "{\"kind\": \"screw\"}",
                        "entry \"screw\"; known are ramp, helix, zigzag, plunge",
                        "{\"angle\": \"-1\"}",
                        "a way down at -1°; it lies above 0 and up to 90");
        sentences.forEach(
                (entry, sentence) -> {
                    RouterRun run =
                            changed(
                                    "instrument_panel",
                                    (kind, operation) -> {
                                        if (kind.equals("pocket")) {
                                            set(operation, "entry", entry);
                                        }
                                    });
                    assertThat(refusals(run)).anyMatch(s -> s.contains(sentence));
                });
    }

    private static List<String> refusals(RouterRun run) {
        List<String> all = new ArrayList<>();
        run.run().refused().forEach(s -> all.add(s.refusal().orElseThrow().sentence()));
        return all;
    }

    // ---- finishing cuts and skins

    @ParameterizedTest
    @ValueSource(strings = {"levels", "depth"})
    void wallsAreFinished(String at) {
        RouterRun run =
                changed(
                        "hatch_boards",
                        (kind, operation) -> {
                            if (kind.equals("contour")) {
                                set(
                                        operation,
                                        "finish",
                                        "{\"cuts\": 2, \"width\": \"0.25\", \"at\": \"%s\"}"
                                                .formatted(at));
                                set(operation, "lead", "{\"over\": \"2\"}");
                            }
                        });
        RouterJobs.requireSound(run);
        assertThat(run.difference().gouge()).isEmpty();
        List<RouterStop> outlines =
                run.plan().done().stream().filter(s -> s.figures().tabs() > 0).toList();
        assertThat(outlines).isNotEmpty();
        RouterRun usual = RouterJobs.requested("hatch_boards");
        for (RouterStop outline : outlines) {
            RouterStop before = usual.plan().stop(outline.id()).orElseThrow();
            assertThat(outline.figures().tabs()).isEqualTo(before.figures().tabs());
            double rounds = at.equals("depth") ? 2 : 2 * outline.levels().size();
            double round = before.cutLength() / (before.levels().size() + 0.5);
            assertThat(outline.cutLength() - before.cutLength())
                    .isCloseTo(rounds * round, within(0.35 * rounds * round));
        }
        assertThat(rests(run).keySet()).isEqualTo(rests(usual).keySet());
        // what is shown of it is the last round, with its tabs and nothing else
        for (RouterStop outline : outlines) {
            Stop shown = run.run().stop(outline.id()).orElseThrow();
            Stop before = usual.run().stop(outline.id()).orElseThrow();
            assertThat(length(shown)).isCloseTo(length(before), within(1e-3));
            assertThat(shown.tabs()).hasSameSizeAs(before.tabs());
        }
    }

    private static double length(Stop stop) {
        return stop.path().orElseThrow().main().stream().mapToDouble(Segment::length).sum();
    }

    @Test
    void theWallOfAPocketIsFinishedAndItsFloor() {
        RouterRun usual = RouterJobs.requested("drain_board");
        RouterRun run =
                changed(
                        "drain_board",
                        (kind, operation) -> {
                            if (kind.equals("pocket")) {
                                set(
                                        operation,
                                        "finish",
                                        "{\"cuts\": 1, \"width\": \"0.2\", \"floor\": \"0.3\"}");
                            }
                        });
        requireSame(run, usual);
    }

    @Test
    void aSkinIsCutAtTheEnd() {
        RouterRun run =
                changed(
                        "hatch_boards",
                        (kind, operation) -> {
                            if (kind.equals("contour")) {
                                operation.put("skin", "0.4");
                            }
                        });
        requireSame(run, RouterJobs.requested("hatch_boards"));
        List<RouterStop> order = run.plan().done();
        List<RouterStop> skins = order.stream().filter(RouterStop::skin).toList();
        assertThat(skins).isNotEmpty();
        assertThat(order.subList(order.size() - skins.size(), order.size()))
                .allMatch(RouterStop::skin);
        for (RouterStop skin : skins) {
            Stop shown = run.run().stop(skin.id()).orElseThrow();
            assertThat(shown.name()).endsWith("skin");
            assertThat(skin.id()).endsWith("skin");
        }
        double above =
                order.stream()
                        .filter(s -> !s.skin() && s.figures().corners() >= 0)
                        .filter(
                                s ->
                                        skins.stream()
                                                .anyMatch(k -> k.features().equals(s.features())))
                        .mapToDouble(s -> s.levels().get(s.levels().size() - 1))
                        .max()
                        .orElseThrow();
        assertThat(above).isCloseTo(18 - 0.4, within(1e-9));
    }

    /**
     * Tabs as long as the outline leave no room to go down to and fro: said, whatever is left of
     * it.
     */
    @Test
    void aSkinThatCannotBeCutIsRefused() {
        RouterRun run =
                changed(
                        "hatch_boards",
                        (kind, operation) -> {
                            if (kind.equals("contour")) {
                                operation.put("skin", "0.4");
                                set(operation, "entry", "{\"kind\": \"zigzag\"}");
                                set(
                                        operation,
                                        "tabs",
                                        "{\"count\": 3, \"width\": \"900\", \"height\": \"0.2\"}");
                            }
                        });
        assertThat(run.run().refused()).isNotEmpty();
        assertThat(run.plan().done()).isNotEmpty();
    }

    /** Openings have skins of their own; one within an outline that has none is cut before it. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void skinsOfOpenings(boolean ofOutline) {
        RouterRun run =
                changed(
                        "instrument_panel",
                        (kind, operation) -> {
                            boolean outline = operation.get("id").asString().equals("outline");
                            if (kind.equals("contour") && (ofOutline || !outline)) {
                                operation.put("skin", "0.4");
                            }
                        });
        requireSame(run, RouterJobs.requested("instrument_panel"));
        List<RouterStop> order = run.plan().done();
        RouterStop last = order.get(order.size() - 1);
        assertThat(last.operation()).isEqualTo("outline");
        assertThat(last.skin()).isEqualTo(ofOutline);
        assertThat(order.stream().filter(RouterStop::skin)).hasSize(ofOutline ? 3 : 2);
        int tabs =
                run.run().stops().stream()
                        .filter(s -> s.head().deed().equals("outline"))
                        .mapToInt(s -> s.tabs().size())
                        .sum();
        int usual =
                RouterJobs.requested("instrument_panel").run().stops().stream()
                        .filter(s -> s.head().deed().equals("outline"))
                        .mapToInt(s -> s.tabs().size())
                        .sum();
        assertThat(tabs).isEqualTo(usual);
    }

    @Test
    void whatCannotBeFinishedIsSaid() {
        Map<String, String> sentences =
                Map.of(
                        "{\"cuts\": 1, \"width\": \"9\"}", "does not lead to a wall",
                        "{\"cuts\": 30, \"width\": \"0.1\"}", "there are 0 to 20",
                        "{\"cuts\": 1, \"width\": \"0\"}", "it must be above 0",
                        "{\"cuts\": 1, \"width\": \"0.1\", \"at\": \"once\"}",
                                "known are levels, depth");
        sentences.forEach(
                (finish, sentence) -> {
                    RouterRun run =
                            changed(
                                    "hatch_boards",
                                    (kind, operation) -> {
                                        if (kind.equals("contour")) {
                                            set(operation, "finish", finish);
                                        }
                                    });
                    assertThat(refusals(run)).as(finish).anyMatch(s -> s.contains(sentence));
                });
        RouterRun blind =
                changed(
                        "hatch_boards",
                        (kind, operation) -> {
                            if (kind.equals("contour")) {
                                operation.put("skin", "18");
                            }
                        });
        assertThat(refusals(blind)).anyMatch(s -> s.contains("nothing would be cut before"));
    }
}
