package dev.oleander.bench;

import dev.oleander.drawing.read.Reading;
import java.util.concurrent.TimeUnit;
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

/** From the bytes of a large, worn drawing to its features. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(1)
public class DrawingBenchmarks {

    @Param({"50000", "200000"})
    public int entities;

    private byte[] file;

    @Setup
    public void write() {
        file = DrawingArea.file(entities);
    }

    @Benchmark
    public Reading read() {
        return DrawingArea.read("plates.dxf", file);
    }
}
