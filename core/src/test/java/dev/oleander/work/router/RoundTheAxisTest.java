package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RoundMaterial;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** A drawing laid round the stock of a capstan's drum. */
class RoundTheAxisTest {

    private static final double RADIUS = 60;

    /** A line, a slanting one and a half circle on a drum of 120 mm. */
    private static final String DRUM =
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="400mm" viewBox="0 0 200 400">
            <path d="M20 380 L20 191.504441 L90 150" fill="none" stroke="black"/>
            <path d="M120 100 A30 30 0 0 1 120 160" fill="none" stroke="black"/>
            </svg>
            """;

    private static Reading drum() {
        ImportOptions options = ImportOptions.defaults().withUnit(LengthUnit.MILLIMETRE);
        byte[] bytes = DRUM.getBytes(StandardCharsets.UTF_8);
        return new DrawingReading(ReadOptions.defaults())
                .read(new DrawingFiles(options).read("drum.svg", bytes));
    }

    private static RouterRun planned(String operation, Block block) {
        Wish wish = JsonMapper.shared().readValue(operation, Wish.class);
        RouterChoices choices =
                RouterChoices.NOTHING.withOperations(List.of(wish), true).withBlock(block);
        double thickness = block.diameter() == null ? 12 : block.diameter();
        return RouterJobs.run(RouterJobs.task(drum(), choices, "birch plywood", thickness, 1));
    }

    private static Block round(double diameter) {
        return new Block(200.0, null, diameter, "x", null);
    }

    private static final String LINES =
            "{\"id\": \"lines\", \"kind\": \"follow\", \"tool\": 3, \"depth\": \"4\", \"wrap\": true}";

    private static List<Item.AtFeed> feeds(RouterRun run) {
        List<Item.AtFeed> feeds = new ArrayList<>();
        for (Item item : run.posted().program().items()) {
            if (item instanceof Item.AtFeed feed) {
                feeds.add(feed);
            }
        }
        return feeds;
    }

    /** A layer at depth d is (r - d) / r as long round the axis as the top. */
    @Test
    void whatIsTakenRoundTheAxisIsLessBelow() {
        RouterRun run = planned(LINES, round(2 * RADIUS));
        RouterStop half =
                run.plan().done().stream()
                        .filter(
                                s ->
                                        run.plan()
                                                        .task()
                                                        .reading()
                                                        .byId()
                                                        .get(s.features().get(0))
                                                        .chain()
                                                        .length()
                                                < 100)
                        .findFirst()
                        .orElseThrow();
        double radius = half.tool().orElseThrow().diameter() / 2;
        double area = Math.PI * 30 * 2 * radius + Math.PI * radius * radius;
        double deep = 4 - 4 * 4 / (2 * RADIUS);
        assertThat(run.volume(half.id()).orElseThrow())
                .isCloseTo(area * deep, withinPercentage(0.1));
    }

    /** A flat groove as wide as the tool: along a radius at angle b it ends at (r - d) / cos b. */
    @Test
    void copiesLieRoundTheAxisInThePictureOfTheWork() {
        RouterRun run = RouterJobs.requested("capstan_rim");
        int angles = 34 * 36;
        double radius = 90;
        double total = run.timeline(Progress.NONE).total();
        float[] end =
                run.roundMaterial().at(run.timeline(Progress.NONE), Optional.empty(), 3, angles);
        for (int i = 0; i < angles; i++) {
            double off = Math.toRadians((i % 36 <= 18 ? i % 36 : i % 36 - 36) * 360.0 / angles);
            double y = radius * Math.sin(off);
            if (Math.abs(Math.abs(y) - 3) > 0.3) {
                double deep = Math.abs(y) < 3 ? radius - (radius - 5) / Math.cos(off) : 0;
                assertThat((double) end[3 * i + 1]).as("%s", i).isCloseTo(deep, within(0.02));
            }
        }
        float[] half =
                run.roundMaterial()
                        .at(run.timeline(Progress.NONE), Optional.of(total / 2), 3, angles);
        int notches = 0;
        for (int k = 0; k < 34; k++) {
            notches += half[3 * 36 * k + 1] > 4.9 ? 1 : 0;
        }
        assertThat(notches).isBetween(15, 18);
        assertThat(run.roundMaterial().at(run.timeline(Progress.NONE), Optional.of(0.0), 3, angles))
                .containsOnly(0f);
    }

    @Test
    void whatIsLaidRoundIsAsDeepInThePictureAsUnrolled() {
        RouterRun run = planned(LINES, round(2 * RADIUS));
        int angles = 720;
        float[] found =
                run.roundMaterial().at(run.timeline(Progress.NONE), Optional.empty(), 200, angles);
        double middle = RoundMaterial.stock(run.plan()).middle();
        double from = RoundMaterial.stock(run.plan()).from();
        int deep = 0;
        int same = 0;
        for (int i = 0; i < angles; i++) {
            for (int column = 0; column < 200; column++) {
                double y = middle + RADIUS * Math.toRadians(0.5 * i);
                double there = 0;
                for (int turn = -1; turn <= 1; turn++) {
                    Point at = new Point(from + column + 0.5, y + turn * 2 * Math.PI * RADIUS);
                    there = Math.max(there, run.depths().at(at).depth());
                }
                deep += there > 0 ? 1 : 0;
                same += Math.abs(there - found[200 * i + column]) < 1e-3 ? 1 : 0;
            }
        }
        assertThat(deep).isGreaterThan(1000);
        // cells at the edges of the grooves may fall to either side
        assertThat(same).isGreaterThan(200 * angles - deep / 4);
    }

    @Test
    void theWorkTurnsByTheWayRoundIt() {
        RouterRun run = planned(LINES, round(2 * RADIUS));
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.faults()).isEmpty();
        for (RouterStop stop : run.plan().done()) {
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (Item.AtFeed feed : feeds(run)) {
                if (feed.origin().stop().equals(stop.id())) {
                    low = Math.min(low, feed.rise().to().turn());
                    high = Math.max(high, feed.rise().to().turn());
                    assertThat(feed.end().y()).as("the tool stays over the axis").isZero();
                }
            }
            for (var leg : stop.legs()) {
                least = Math.min(least, leg.to().y());
                most = Math.max(most, leg.to().y());
            }
            assertThat(high - low)
                    .isCloseTo(180 * (most - least) / (Math.PI * RADIUS), within(1e-9));
        }
    }

    /** On every move the tip goes at the feed of the tool, or slower on its way down. */
    @Test
    void theFeedIsTrueAtTheTip() {
        RouterRun run = planned(LINES, round(2 * RADIUS));
        double asked = run.plan().feeds().values().iterator().next().feed();
        int level = 0;
        for (Item.AtFeed feed : feeds(run)) {
            double z = feed.rise().to().z();
            if (feed.rise().z() == 0 && z < 0) {
                double minutes = feed.length() / feed.feed();
                double x = feed.way().map(w -> w.end().x() - w.start().x()).orElse(0.0);
                double turned = Math.toRadians(feed.rise().turn()) * (RADIUS + z);
                assertThat(Math.hypot(x, turned) / minutes).isCloseTo(asked, within(1e-6 * asked));
                level++;
            }
        }
        assertThat(level).isGreaterThan(30);
    }

    @Test
    void theTextIsReadBack() {
        RouterRun run = planned(LINES, round(2 * RADIUS));
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow())
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.written().text()).contains(" A");
        assertThat(run.recheck(run.posted().program(), java.util.Optional.empty()).faults())
                .isEmpty();
        assertThat(run.timeline(Progress.NONE).total()).isGreaterThan(5);
        // on the surface: 4 mm deep on the line, nothing beside it
        RouterStop stop = run.plan().done().get(0);
        assertThat(run.depths().at(stop.end()).depth()).isCloseTo(4, within(1e-6));
    }

    @Test
    void whatCannotBeLaidRoundIsSaid() {
        assertThat(sentence(LINES, new Block(200.0, 400.0, null, null, null)))
                .contains("round stock; this is flat");
        String copies = LINES.replace("\"wrap\"", "\"copies\": {\"rotary\": 3}, \"wrap\"");
        assertThat(sentence(copies, round(120))).contains("has no copies round it");
        String deep = LINES.replace("\"4\"", "\"7\"");
        assertThat(sentence(deep, round(12))).contains("the axis lies 6 mm below the top");
        assertThatThrownBy(() -> planned(LINES, round(500)))
                .isInstanceOf(PlanException.class)
                .hasMessage("The stock has a diameter of 500 mm; Hazel turns up to 400 mm.");
    }

    private static String sentence(String operation, Block block) {
        return planned(operation, block).run().refused().get(0).refusal().orElseThrow().sentence();
    }
}
