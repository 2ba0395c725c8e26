package dev.oleander.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** How fast and how good the kernel is, beside another library in the same run. */
final class GeometryArea implements Area {

    /** us; a curve of 10,000 points. */
    private static final double FIT_TIME = 10_000;

    private static final double MILLION = 1e6;

    @Override
    public String name() {
        return "geometry";
    }

    @Override
    public List<Row> measure() throws Exception {
        Results results =
                new Results(
                        new Runner(
                                        new OptionsBuilder()
                                                .include(GeometryBenchmarks.class.getName())
                                                .addProfiler(GCProfiler.class)
                                                .verbosity(VerboseMode.SILENT)
                                                .shouldFailOnError(true)
                                                .build())
                                .run());
        List<Row> rows = new ArrayList<>();
        for (String distance : List.of("0.2", "1")) {
            addOffsets(results, distance, rows);
        }
        rows.add(
                Row.against(
                        "offset of the letters by 2 mm both ways, other at 1 um",
                        results.time("offsetLetters"),
                        results.time("bufferFlatLetters"),
                        "us",
                        null,
                        null));
        rows.add(
                Row.against(
                        "union of 500 discs, other at 1 um",
                        results.time("uniteDiscs"),
                        results.time("uniteFlatDiscs"),
                        "us",
                        3.0,
                        10.0));
        rows.add(
                Row.against(
                        "point in region of 1,000 segments, per point",
                        1000 * results.time("locate") / MILLION,
                        1000 * results.time("locateInFlat") / MILLION,
                        "ns",
                        1.5,
                        3.0));
        rows.add(
                Row.below(
                        "fit of a 10,000-point curve at 0.01 mm",
                        results.time("fit"),
                        "us",
                        FIT_TIME,
                        null));
        rows.add(
                Row.below(
                        "allocated by one offset of 1,000 segments",
                        results.allocated("offsetRing", "1000", "0.2") / 2 / 1000,
                        "kB",
                        1000.0,
                        300.0));
        rows.addAll(new GeometryQuality().rows());
        return rows;
    }

    private static void addOffsets(Results results, String distance, List<Row> rows) {
        double ours = results.time("offsetRing", "1000", distance);
        String ring = "offset of the ring by " + distance + " mm both ways, other at ";
        rows.add(
                Row.against(
                        ring + "1 um",
                        ours,
                        results.time("bufferFlatRing", "0.001", distance),
                        "us",
                        20.0,
                        50.0));
        rows.add(
                Row.against(
                        ring + "10 um",
                        ours,
                        results.time("bufferFlatRing", "0.01", distance),
                        "us",
                        5.0,
                        15.0));
        for (String segments : List.of("10000", "100000")) {
            double n = Double.parseDouble(segments) / 1000;
            double growth = results.time("offsetRing", segments, distance) / ours;
            double nLogN = n * Math.log(1000 * n) / Math.log(1000);
            rows.add(
                    Row.below(
                            "growth to %s segments over n log n, at %s mm"
                                    .formatted(segments, distance),
                            growth / nLogN,
                            "x",
                            1.5,
                            null));
        }
    }

    /** Results by method and the values of its parameters. */
    private record Results(Collection<RunResult> all) {

        RunResult find(String method, String... parameters) {
            return all.stream()
                    .filter(r -> r.getParams().getBenchmark().endsWith("." + method))
                    .filter(r -> hasAll(r, parameters))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("not measured: " + method));
        }

        private static boolean hasAll(RunResult result, String... parameters) {
            List<String> values =
                    result.getParams().getParamsKeys().stream()
                            .map(result.getParams()::getParam)
                            .toList();
            return values.containsAll(List.of(parameters));
        }

        /**
         * us per call in the fastest iteration, which other work on the machine disturbed least.
         */
        double time(String method, String... parameters) {
            return find(method, parameters).getPrimaryResult().getStatistics().getMin();
        }

        /** Bytes per call. */
        double allocated(String method, String... parameters) {
            return find(method, parameters)
                    .getSecondaryResults()
                    .get("gc.alloc.rate.norm")
                    .getScore();
        }
    }
}
