package dev.oleander.bench;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionIndex;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The kernel beside another library on flattened shapes. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@Fork(1)
public class GeometryBenchmarks {

    /** Tolerance of the fitted curve, mm. */
    static final double FIT = 0.01;

    static final int CURVE_POINTS = 10_000;
    static final int DISCS = 500;
    static final int PLACES = 1_000_000;
    static final long SEED = 7;

    /** The ring and how far it is offset, mm. */
    @State(Scope.Benchmark)
    public static class Ring {

        @Param({"1000", "10000", "100000"})
        public int segments;

        @Param({"0.2", "1"})
        public double distance;

        private Contour ring;
        private final Offsetter offsetter = Offsetter.round();

        @Setup
        public void prepare() {
            ring = BenchShapes.ring(segments);
        }
    }

    /** The same ring of 1,000 segments flattened, joins as fine. */
    @State(Scope.Benchmark)
    public static class FlatRing {

        @Param({"0.001", "0.01"})
        public double gap;

        @Param({"0.2", "1"})
        public double distance;

        private Geometry flat;
        private BufferParameters round;

        @Setup
        public void prepare() {
            flat = BenchShapes.flat(new Region(BenchShapes.ring(1000), List.of()), gap);
            round = joins(distance, gap);
        }
    }

    static BufferParameters joins(double distance, double gap) {
        double angle = 2 * Math.acos(1 - gap / distance);
        return new BufferParameters((int) Math.max(1, Math.ceil(Math.PI / 2 / angle)));
    }

    /** Everything else. */
    @State(Scope.Benchmark)
    public static class Shapes {

        private final Offsetter offsetter = Offsetter.round();
        private final List<Region> letters = BenchShapes.letters();
        private final Geometry flatLetters = BenchShapes.flat(letters, 1e-3);
        private final List<Region> discs = BenchShapes.discs(DISCS, SEED);
        private final Geometry flatDiscs = BenchShapes.flat(discs, 1e-3);
        private final List<Point> wave = BenchShapes.wave(CURVE_POINTS, SEED);
        private final double[] places =
                new SplittableRandom(SEED).doubles(2L * PLACES, -105, 105).toArray();
        private final RegionIndex index =
                RegionIndex.of(new Region(BenchShapes.ring(1000), List.of()));
        private final PreparedGeometry prepared =
                PreparedGeometryFactory.prepare(
                        BenchShapes.flat(new Region(BenchShapes.ring(1000), List.of()), 1e-3));
    }

    @Benchmark
    public int offsetRing(Ring ring) {
        return ring.offsetter.offset(ring.ring, ring.distance).size()
                + ring.offsetter.offset(ring.ring, -ring.distance).size();
    }

    @Benchmark
    public int bufferFlatRing(FlatRing ring) {
        return BufferOp.bufferOp(ring.flat, ring.distance, ring.round).getNumPoints()
                + BufferOp.bufferOp(ring.flat, -ring.distance, ring.round).getNumPoints();
    }

    @Benchmark
    public int offsetLetters(Shapes shapes) {
        return shapes.offsetter.offset(shapes.letters, 2).size()
                + shapes.offsetter.offset(shapes.letters, -2).size();
    }

    @Benchmark
    public int bufferFlatLetters(Shapes shapes) {
        BufferParameters round = joins(2, 1e-3);
        return BufferOp.bufferOp(shapes.flatLetters, 2, round).getNumPoints()
                + BufferOp.bufferOp(shapes.flatLetters, -2, round).getNumPoints();
    }

    @Benchmark
    public List<Region> uniteDiscs(Shapes shapes) {
        return Overlay.union(shapes.discs);
    }

    @Benchmark
    public Geometry uniteFlatDiscs(Shapes shapes) {
        return OverlayNGRobust.union(shapes.flatDiscs);
    }

    @Benchmark
    public int locate(Shapes shapes) {
        int inside = 0;
        for (int i = 0; i < shapes.places.length; i += 2) {
            inside += shapes.index.contains(shapes.places[i], shapes.places[i + 1]) ? 1 : 0;
        }
        return inside;
    }

    @Benchmark
    public int locateInFlat(Shapes shapes) {
        int inside = 0;
        for (int i = 0; i < shapes.places.length; i += 2) {
            Coordinate at = new Coordinate(shapes.places[i], shapes.places[i + 1]);
            inside += shapes.prepared.contains(BenchShapes.JTS.createPoint(at)) ? 1 : 0;
        }
        return inside;
    }

    @Benchmark
    public Path fit(Shapes shapes) {
        return new ArcFitter(FitOptions.within(FIT)).fit(shapes.wave);
    }
}
