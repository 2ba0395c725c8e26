package dev.oleander.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** The way from a file to a released program, and starting up. */
final class SliceArea implements Area {

    /** s; greatest time of a start that has nothing to build. */
    private static final double START = 15;

    /** ms per entity that importing should come down to: 100,000 entities within 3 s. */
    private static final double PER_ENTITY = 3000.0 / 100_000;

    private static final Map<String, String> WORDS =
            Map.of(
                    "importFile", "read, mend and recognise",
                    "plan", "plan",
                    "prove", "prove",
                    "post", "write, read back and compare");

    @Override
    public String name() {
        return "slice";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        rows.add(
                Row.below(
                        "second start, from the command to a served page",
                        secondStart(),
                        "s",
                        START,
                        null));
        Collection<RunResult> results =
                new Runner(
                                new OptionsBuilder()
                                        .include(SliceBenchmarks.class.getName())
                                        .verbosity(VerboseMode.SILENT)
                                        .shouldFailOnError(true)
                                        .build())
                        .run();
        results.forEach(r -> rows.add(row(r)));
        return rows;
    }

    /** Seconds from the command to a served page, for a start that has nothing to build or fill. */
    private static double secondStart() throws Exception {
        try (ServedApp app = new ServedApp()) {
            app.start();
            app.stop();
            long began = System.nanoTime();
            app.start();
            return (System.nanoTime() - began) / 1e9;
        }
    }

    private static Row row(RunResult result) {
        String method = result.getParams().getBenchmark().replaceAll(".*\\.", "");
        String drawing = result.getParams().getParam("drawing");
        boolean plates = drawing.equals(SliceBenchmarks.MANY_PLATES);
        String of =
                plates
                        ? "%d plates, %d entities"
                                .formatted(
                                        SliceBenchmarks.PLATES,
                                        SliceBenchmarks.PLATES * PlateSheet.ENTITIES_PER_PLATE)
                        : drawing;
        Double aim =
                plates && method.equals("importFile")
                        ? PER_ENTITY * SliceBenchmarks.PLATES * PlateSheet.ENTITIES_PER_PLATE
                        : null;
        return Row.below(
                WORDS.get(method) + ": " + of,
                result.getPrimaryResult().getScore(),
                "ms",
                null,
                aim);
    }
}
