package dev.oleander.bench;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.file.NestFile;
import dev.oleander.nesting.search.Nester;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Nests of the cases in samples/nest, each for a minute on two threads, and judged by their own
 * checker, which shares nothing with the search. Other times and seeds by {@code
 * OLEANDER_BENCH_OPTIONS="-Dnest.seconds=20 -Dnest.seeds=3"}: of several seeds the median counts.
 */
final class NestingArea implements Area {

    private static final double SECONDS =
            Double.parseDouble(System.getProperty("nest.seconds", "60"));
    private static final int SEEDS = Integer.getInteger("nest.seeds", 1);
    private static final Path SAMPLES = Path.of("samples", "nest");

    /** Seconds until there is a first nest. */
    private static final double FIRST = 1;

    private static final double FIRST_AIM = 0.2;

    /** Pairs a second and thread. */
    private static final double TESTS = 1e6;

    private static final double TESTS_AIM = 3e6;

    /** What of the judge's answer is measured. */
    private enum Measure {
        /** of the best length that is known or possible, as a share: more is better */
        LENGTH,
        COST,
        /** share of the first sheet that parts cover: more is better */
        FIRST_SHEET,
        SHEETS,
        /** mm2 that are missing of priority 2 */
        MISSING
    }

    /**
     * @param atLeast and {@code aim}: of the measure
     */
    private record Case(String name, Measure measure, double atLeast, double aim) {}

    private static final List<Case> CASES =
            List.of(
                    new Case("jig16", Measure.LENGTH, 0.87, 1),
                    new Case("jig32", Measure.LENGTH, 0.82, 0.9),
                    new Case("arcjig18", Measure.LENGTH, 0.82, 0.9),
                    new Case("gapjig20", Measure.LENGTH, 0.85, 0.93),
                    new Case("pairs20", Measure.LENGTH, 0.99, 1),
                    new Case("letters40", Measure.LENGTH, 0.729, 0.778),
                    new Case("rects1", Measure.FIRST_SHEET, 0.91, 0.945),
                    new Case("openings6", Measure.SHEETS, 1, 1),
                    new Case("boat60", Measure.COST, 63.9, 61.6),
                    new Case("orders300", Measure.COST, 174, 167),
                    new Case("remnants110", Measure.COST, 21.72, 19.27),
                    new Case("grain40", Measure.COST, 51, 49.5),
                    new Case("locked40", Measure.COST, 69, 67),
                    new Case("sizes80", Measure.COST, 63, 56.3),
                    new Case("priority70", Measure.MISSING, 423_192 - 260_000, 423_192 - 290_000));

    @Override
    public String name() {
        return "nesting";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        double first = 0;
        double tests = 0;
        for (Case one : CASES) {
            List<Run> runs = new ArrayList<>();
            for (int seed = 1; seed <= SEEDS; seed++) {
                runs.add(run(one, seed));
            }
            runs.sort((a, b) -> Double.compare(a.value, b.value));
            Run median = runs.get(runs.size() / 2);
            rows.add(row(one, median.value));
            first = Math.max(first, median.first);
            tests += median.testsASecond / CASES.size();
        }
        rows.add(
                Row.below(
                        "first legal nest of all cases, the slowest",
                        first,
                        "s",
                        FIRST,
                        FIRST_AIM));
        rows.add(
                Row.against(
                        "a pair of parts looked at, on one thread",
                        1 / tests,
                        1 / TESTS,
                        "s",
                        1.0,
                        TESTS_AIM / TESTS));
        rows.addAll(new NestPages(SAMPLES.resolve("boat60.case.json")).measure());
        return rows;
    }

    private record Run(double value, double first, double testsASecond) {}

    private static Run run(Case one, int seed) throws IOException, InterruptedException {
        Path file = SAMPLES.resolve(one.name + ".case.json");
        NestTask task = NestFile.task(Files.readString(file));
        double[] first = {Double.NaN};
        long began = System.nanoTime();
        Nest nest =
                Nester.nest(
                        task,
                        NestBudget.ofSeconds(SECONDS, seed),
                        (best, seconds) -> {
                            if (Double.isNaN(first[0]) && !best.sheets().isEmpty()) {
                                first[0] = seconds;
                            }
                            return true;
                        });
        double seconds = (System.nanoTime() - began) / 1e9;
        if (!NestCheck.faults(task, nest.sheets()).isEmpty()) {
            throw new IllegalStateException(one.name + ": the nest is not legal");
        }
        Path result = Path.of("bench", "target", one.name + ".result.json");
        Files.writeString(result, NestFile.result(nest, one.name, seconds, seed));
        JsonNode judged = judged(file, result);
        return new Run(value(one, judged), first[0], nest.tests() / seconds / 2);
    }

    /** What the checker of the cases says. */
    private static JsonNode judged(Path file, Path result)
            throws IOException, InterruptedException {
        Process judge =
                new ProcessBuilder(
                                "/usr/bin/python3",
                                SAMPLES.resolve("check_nest.py").toString(),
                                file.toString(),
                                result.toString(),
                                "--json")
                        .redirectError(ProcessBuilder.Redirect.INHERIT)
                        .start();
        JsonNode answer = JsonMapper.shared().readTree(judge.getInputStream().readAllBytes());
        judge.waitFor(1, TimeUnit.MINUTES);
        if (!answer.path("legal").asBoolean(false)) {
            throw new IllegalStateException("the judge refuses " + result + ": " + answer);
        }
        return answer;
    }

    private static double value(Case one, JsonNode judged) {
        return switch (one.measure) {
            case LENGTH -> judged.get("ofBest").asDouble();
            case COST -> judged.get("cost").asDouble();
            case FIRST_SHEET -> judged.get("sheets").get(0).get("utilisation").asDouble();
            case SHEETS -> judged.get("sheetsUsed").asDouble();
            case MISSING -> {
                JsonNode second = judged.get("byPriority").get("2");
                double wanted = 423_192;
                yield wanted - second.get("area").asDouble();
            }
        };
    }

    private static Row row(Case one, double value) {
        return switch (one.measure) {
            case LENGTH ->
                    Row.against(
                            one.name + ": length, other: best that is known",
                            1 / value,
                            1.0,
                            "x",
                            one.atLeast,
                            one.aim);
            case FIRST_SHEET ->
                    Row.against(
                            one.name + ": share of the first sheet",
                            1 / value,
                            1.0,
                            "x",
                            one.atLeast,
                            one.aim);
            case COST -> Row.below(one.name + ": cost", value, "EUR", one.atLeast, one.aim);
            case SHEETS -> Row.below(one.name + ": sheets", value, "sheets", one.atLeast, one.aim);
            case MISSING ->
                    Row.below(
                            one.name + ": missing of priority 2",
                            value,
                            "mm2",
                            one.atLeast,
                            one.aim);
        };
    }
}
