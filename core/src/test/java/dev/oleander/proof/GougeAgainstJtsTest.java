package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** What the proof calls a gouge, judged by another library's swaths of flattened paths. */
class GougeAgainstJtsTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final int STEPS = 48;

    /** mm that chords are off their arcs, and more. */
    private static final double FLATTENING = 0.03;

    /** mm2; less is rounding. */
    private static final double AREA = 1e-6;

    @Property(tries = 40)
    void theSameStopsGouge(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Reading reading = plates(random);
        PlanChoices choices = PlanChoices.defaults();
        for (var feature : reading.features()) {
            Side side =
                    switch (random.nextInt(5)) {
                        case 0 -> Side.INSIDE;
                        case 1 -> Side.OUTSIDE;
                        case 2 -> Side.ON;
                        default -> null;
                    };
            if (side != null) {
                choices = choices.withStop(feature.id(), StopChoice.NOTHING.withSide(side));
            }
        }
        Run run =
                Samples.plan(
                        reading,
                        new SheetPlanner.Order("mild steel", 6, 1 + random.nextInt(3)),
                        choices,
                        SheetChoices.defaults());
        Set<String> found =
                Samples.prove(reading, run).findings().stream()
                        .filter(f -> f.rule().equals("gouge"))
                        .flatMap(f -> f.alike().stream())
                        .collect(Collectors.toCollection(TreeSet::new));
        assertThat(found).isEqualTo(judged(reading, run));
    }

    private static Set<String> judged(Reading reading, Run run) {
        List<Geometry> kept = new ArrayList<>();
        for (Placement placement : run.layout().placements()) {
            reading.parts()
                    .forEach(p -> kept.add(polygon(p.region().transformed(placement.transform()))));
        }
        Set<String> gouging = new TreeSet<>();
        for (Stop stop : run.stops()) {
            if (stop.path().isPresent()) {
                List<Coordinate> way = flat(stop.path().get().main());
                Geometry swath =
                        JTS.createLineString(way.toArray(new Coordinate[0]))
                                .buffer(
                                        SheetCut.of(stop).row().orElseThrow().kerf() / 2
                                                - FLATTENING,
                                        32);
                boolean cuts = kept.stream().anyMatch(k -> k.intersection(swath).getArea() > AREA);
                if (cuts) {
                    gouging.add(stop.id());
                }
            }
        }
        return gouging;
    }

    private static Geometry polygon(Region region) {
        LinearRing[] holes =
                region.openings().stream()
                        .map(GougeAgainstJtsTest::ring)
                        .toArray(LinearRing[]::new);
        return JTS.createPolygon(ring(region.outer()), holes);
    }

    private static LinearRing ring(Contour contour) {
        List<Coordinate> corners = flat(contour.segments());
        corners.set(corners.size() - 1, corners.get(0));
        return JTS.createLinearRing(corners.toArray(new Coordinate[0]));
    }

    private static List<Coordinate> flat(List<Segment> segments) {
        List<Coordinate> flat = new ArrayList<>();
        for (Segment segment : segments) {
            for (int k = 0; k < STEPS; k++) {
                flat.add(coordinate(segment.at((double) k / STEPS)));
            }
        }
        flat.add(coordinate(segments.get(segments.size() - 1).end()));
        return flat;
    }

    private static Coordinate coordinate(Point p) {
        return new Coordinate(p.x(), p.y());
    }

    /** Plates with holes and discs, farther apart than a kerf. */
    private static Reading plates(SplittableRandom random) {
        Drawn drawn = new Drawn();
        for (int i = 0; i < 3; i++) {
            double x = 140 * i;
            double w = 60 + 50 * random.nextDouble();
            drawn.rectangle(x, 0, w, 70);
            drawn.circle(x + 20, 20, 4 + 6 * random.nextDouble());
            drawn.circle(x + 40, 45, 4 + 8 * random.nextDouble());
        }
        drawn.circle(60, 140, 20 + 20 * random.nextDouble());
        return drawn.reading();
    }
}
