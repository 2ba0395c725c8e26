package dev.oleander.bench;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Large drawings brought in, mended and read, on one core, and the memory that takes. */
final class DrawingArea implements Area {

    /** Seconds that drawings of so many entities may take. */
    private static final double OF_50_000 = 1.5;

    private static final double OF_200_000 = 6;

    /** Memory over the size of the file. */
    private static final int MOST_MEMORY = 12;

    @Override
    public String name() {
        return "drawing";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        Collection<RunResult> results =
                new Runner(
                                new OptionsBuilder()
                                        .include(DrawingBenchmarks.class.getName())
                                        .jvmArgsAppend("-XX:ActiveProcessorCount=1")
                                        .verbosity(VerboseMode.SILENT)
                                        .shouldFailOnError(true)
                                        .build())
                        .run();
        for (RunResult result : results) {
            int entities = Integer.parseInt(result.getParams().getParam("entities"));
            rows.add(
                    Row.below(
                            "brought in, mended and read: %d entities".formatted(entities),
                            result.getPrimaryResult().getScore() / 1000,
                            "s",
                            entities <= 50_000 ? OF_50_000 : OF_200_000,
                            null));
        }
        rows.add(
                Row.below(
                        "memory that the larger one needs, over the size of its file",
                        leastMemory(200_000),
                        "x",
                        (double) MOST_MEMORY,
                        null));
        return rows;
    }

    /** The smallest multiple of the file's size that a virtual machine can do it with. */
    private static double leastMemory(int entities) throws IOException, InterruptedException {
        Path file = Files.createTempFile("oleander-bench", ".dxf");
        try {
            Files.writeString(file, PlateSheet.worn(entities));
            long size = Files.size(file);
            for (int times = 4; times <= 4 * MOST_MEMORY; times++) {
                if (OtherMachine.isEnough(times * size / 1024, Once.class, file.toString())) {
                    return times;
                }
            }
            return Double.POSITIVE_INFINITY;
        } finally {
            Files.delete(file);
        }
    }

    /** Reads one file and ends; fails when the memory is not enough. */
    static final class Once {

        private Once() {}

        public static void main(String[] arguments) throws IOException {
            Path file = Path.of(arguments[0]);
            Reading reading = read(file.getFileName().toString(), Files.readAllBytes(file));
            if (reading.parts().isEmpty()) {
                throw new IllegalStateException("nothing was read");
            }
        }
    }

    static Reading read(String name, byte[] bytes) {
        Drawing drawing = new DrawingFiles(ImportOptions.defaults()).read(name, bytes);
        return new DrawingReading(ReadOptions.defaults()).read(drawing);
    }

    static byte[] file(int entities) {
        return PlateSheet.worn(entities).getBytes(StandardCharsets.UTF_8);
    }
}
