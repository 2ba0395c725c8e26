package dev.oleander.work.wire.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.PassChoice;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.proof.WireReplay;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;

/**
 * Random openings cut in random ways: what is written moves the wire as planned, or it is refused.
 */
class RandomWirePlansTest {

    private static final Dialect BRACKEN = DialectLibrary.shipped().find("bracken").orElseThrow();

    @Property(tries = 60, shrinking = ShrinkingMode.OFF)
    void whatIsWrittenMovesTheWireAsPlanned(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Reading reading = turned(polygon(random).drawing());
        WirePlan plan = WireSamples.plan(reading, height(random), choices(random));
        WireMotion motion = WireMotion.of(plan);
        CheckedWriter.Checked checked =
                new CheckedWriter(BRACKEN).write(motion.posted(), Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        WireReplay.Result replay =
                WireReplay.compare(
                        motion.wire(),
                        new DialectReader(BRACKEN).read(checked.written().text()).program(),
                        plan.registers(),
                        plan.task().height());
        assertThat(replay.faults()).isEmpty();
        // short stretches turn by their rounded ends, which moves edges beside them by some µm
        assertThat(replay.deviation()).isLessThan(1e-2);
    }

    /**
     * A star-shaped polygon of 3 to 9 corners, none of them nearly straight: where two flanks are
     * nearly one, the rounding of a number moves their edge far along both.
     */
    private static Drawn polygon(SplittableRandom random) {
        double[] xy = star(random);
        while (leastTurn(xy) < Math.toRadians(10)) {
            xy = star(random);
        }
        return new Drawn().closed(xy);
    }

    private static double[] star(SplittableRandom random) {
        int n = 3 + random.nextInt(7);
        double size = 6 + 30 * random.nextDouble();
        double[] xy = new double[2 * n];
        for (int i = 0; i < n; i++) {
            double angle = 2 * Math.PI * (i + 0.5 * random.nextDouble()) / n;
            double r = size * (0.5 + 0.5 * random.nextDouble());
            xy[2 * i] = Math.rint(1000 * r * Math.cos(angle)) / 1000;
            xy[2 * i + 1] = Math.rint(1000 * r * Math.sin(angle)) / 1000;
        }
        return xy;
    }

    private static double leastTurn(double[] xy) {
        double least = Math.PI;
        int n = xy.length;
        for (int i = 0; i < n; i += 2) {
            double ax = xy[(i + 2) % n] - xy[i];
            double ay = xy[(i + 3) % n] - xy[i + 1];
            double bx = xy[(i + 4) % n] - xy[(i + 2) % n];
            double by = xy[(i + 5) % n] - xy[(i + 3) % n];
            double turn = Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
            least = Math.min(least, Math.abs(turn));
        }
        return least;
    }

    private static Reading turned(Drawing drawing) {
        Reading first = new DrawingReading(ReadOptions.defaults()).read(drawing);
        ReadOptions options =
                ReadOptions.defaults()
                        .withTurned(
                                first.features().stream()
                                        .map(f -> f.id())
                                        .collect(Collectors.toSet()));
        return new DrawingReading(options).read(drawing);
    }

    private static double height(SplittableRandom random) {
        return List.of(10.0, 20.0, 40.0, 33.0).get(random.nextInt(4));
    }

    private static WireChoices choices(SplittableRandom random) {
        SlugHandling[] all = SlugHandling.values();
        SlugChoice slug =
                SlugChoice.NOTHING
                        .withHandling(all[random.nextInt(all.length)])
                        .withReversed(random.nextBoolean())
                        .withHold(Typed.of(0.5 + 2 * random.nextDouble()));
        EntryChoice entry =
                EntryChoice.NOTHING
                        .withLead(WireLead.values()[random.nextInt(3)])
                        .withAnticlockwise(random.nextBoolean())
                        .withOverlap(
                                Typed.of(random.nextInt(4) == 0 ? 0 : 0.1 + random.nextDouble()));
        PassChoice passes =
                PassChoice.NOTHING
                        .withAlternate(random.nextBoolean())
                        .withFinish(
                                List.of("parting", "standard", "good", "fine")
                                        .get(random.nextInt(4)));
        TaperChoice taper = TaperChoice.NOTHING;
        if (random.nextBoolean()) {
            taper = taper.withAngle(Typed.of(random.nextInt(-200, 300) / 100.0));
            if (random.nextBoolean()) {
                taper = taper.withElement(random.nextInt(3), Typed.of(0));
            }
            if (random.nextInt(4) == 0) {
                taper = taper.withLand(Typed.of(4));
            }
        }
        WireOrder[] orders = {
            WireOrder.UNATTENDED_FIRST, WireOrder.PASS_BY_PASS, WireOrder.ONE_AT_A_TIME
        };
        return WireChoices.NOTHING
                .withOrder(orders[random.nextInt(3)])
                .withAll(new WireChoice(entry, passes, slug, taper, null, null));
    }
}
