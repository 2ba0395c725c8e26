package dev.oleander.web.nest;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Box;
import dev.oleander.motion.Seconds;
import dev.oleander.nesting.NestCosts;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Nesting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What is said of a nest on paper: parts, sheets, rests, and what it costs each job.
 *
 * @param share of the sheets without their rests that becomes parts, percent
 * @param material money for the sheets less what their rests are worth
 * @param seconds of the machine, all sheets together
 */
public record NestReport(
        List<Line> lines,
        List<Sheet> sheets,
        List<JobShare> jobs,
        double share,
        double material,
        double seconds) {

    /** Parts of a job: asked for, laid, missing. */
    public record Line(
            String id,
            String letter,
            String job,
            String part,
            int wanted,
            int placed,
            int missing,
            String why,
            double cost) {}

    /**
     * A sheet.
     *
     * @param times it is cut
     * @param how by several heads, or which stretch of it; empty: all of it by one
     * @param heads that cut the same at once
     * @param rest size of what is worth keeping of each, mm; empty when nothing is
     * @param seconds of one
     */
    public record Sheet(
            int number,
            int times,
            String stock,
            double width,
            double height,
            String how,
            int heads,
            int parts,
            String rest,
            double seconds,
            List<Placed> placed) {}

    /** Where a part lies. */
    public record Placed(
            int number,
            String line,
            String letter,
            String job,
            String part,
            double x,
            double y,
            double angle,
            boolean mirrored) {}

    /** What a job has to bear. */
    public record JobShare(
            String letter,
            String job,
            int parts,
            double material,
            double seconds,
            double machine) {}

    /**
     * Of a planned job.
     *
     * @throws RefusedEditException when nothing is laid, or its cuts cannot be planned
     */
    public static NestReport of(JobResult result) {
        Nesting nesting = NestEdits.nesting(result);
        NestChoices choices = nesting.choices();
        if (choices.laid().isEmpty() || !result.isPlanned()) {
            throw new RefusedEditException(
                    "There is nothing to report yet: no part lies on a sheet, or its cuts are not planned.");
        }
        NestTask task = Nests.task(result);
        NestFigures figures = NestFigures.of(task, choices.laid());
        Map<String, Double> costs = NestCosts.byLine(task, choices.laid());
        List<Line> lines = lines(result, nesting, costs);
        Map<String, Double> seconds = secondsBySource(result);
        return new NestReport(
                lines,
                sheets(result, nesting, task),
                jobs(lines, seconds, result.machine().hourlyRate()),
                100 * figures.share(),
                costs.values().stream().mapToDouble(Double::doubleValue).sum(),
                result.secondsInAll());
    }

    private static List<Line> lines(JobResult result, Nesting nesting, Map<String, Double> costs) {
        NestChoices choices = nesting.choices();
        Map<String, Integer> placed = choices.placed();
        Map<String, NestMissing> missing =
                Nests.missing(result, choices.laid()).stream()
                        .collect(Collectors.toMap(NestMissing::line, Function.identity()));
        List<Line> lines = new ArrayList<>();
        for (PartLine line : choices.lines()) {
            Optional<NestMissing> left = Optional.ofNullable(missing.get(line.id()));
            lines.add(
                    new Line(
                            line.id(),
                            line.source(),
                            nesting.job(line),
                            part(line),
                            line.quantity(),
                            placed.getOrDefault(line.id(), 0),
                            left.map(NestMissing::count).orElse(0),
                            left.map(m -> m.why().sentence()).orElse(""),
                            costs.getOrDefault(line.id(), 0.0)));
        }
        return lines;
    }

    private static String part(PartLine line) {
        return "part " + line.part().replace("p", "");
    }

    private static List<Sheet> sheets(JobResult result, Nesting nesting, NestTask task) {
        List<Sheet> sheets = new ArrayList<>();
        List<JobResult> runs = result.runs();
        for (Nests.Counted counted : Nests.counted(task, nesting.choices().laid())) {
            StockLine stock = nesting.choices().stock(counted.sheet().stock()).orElseThrow();
            List<Placed> placed = new ArrayList<>();
            for (NestPlacement p : counted.sheet().placements()) {
                PartLine line = nesting.choices().line(p.line()).orElseThrow();
                placed.add(
                        new Placed(
                                placed.size() + 1,
                                line.id(),
                                line.source(),
                                nesting.job(line),
                                part(line),
                                p.at().x(),
                                p.at().y(),
                                p.angle(),
                                p.mirrored()));
            }
            sheets.add(
                    new Sheet(
                            sheets.size() + 1,
                            counted.times(),
                            stock.remnant() == null ? "sheet" : "remnant " + stock.remnant(),
                            stock.width(),
                            stock.height(),
                            Nests.how(counted.sheet().part()),
                            counted.sheet().heads(),
                            counted.sheet().heads() * placed.size(),
                            counted.rest().map(NestReport::size).orElse(""),
                            runs.get(sheets.size()).timeline().total(),
                            placed));
        }
        return sheets;
    }

    private static String size(Box box) {
        return "%s × %s".formatted(Numbers.plain(box.width(), 0), Numbers.plain(box.height(), 0));
    }

    /**
     * Machine time of each job, by letter: that of its own stops, and of the travel between all
     * stops a share like it.
     */
    private static Map<String, Double> secondsBySource(JobResult result) {
        Map<String, Double> own = new LinkedHashMap<>();
        for (JobResult run : result.runs()) {
            Map<String, Seconds> byStop = run.timeline().byStop();
            double all = byStop.values().stream().mapToDouble(Seconds::total).sum();
            double factor = all > 0 ? run.timeline().total() / all : 0;
            for (Stop stop : run.run().stops()) {
                double seconds = byStop.getOrDefault(stop.id(), Seconds.NONE).total();
                own.merge(
                        FeatureKey.sourceOf(stop.feature()),
                        run.setUp().count() * factor * seconds,
                        Double::sum);
            }
        }
        return own;
    }

    private static List<JobShare> jobs(
            List<Line> lines, Map<String, Double> seconds, double hourlyRate) {
        Map<String, JobShare> shares = new LinkedHashMap<>();
        for (Line line : lines) {
            double time = seconds.getOrDefault(line.letter(), 0.0);
            JobShare before =
                    shares.getOrDefault(
                            line.letter(),
                            new JobShare(
                                    line.letter(),
                                    line.job(),
                                    0,
                                    0,
                                    time,
                                    hourlyRate * time / 3600));
            shares.put(
                    line.letter(),
                    new JobShare(
                            line.letter(),
                            line.job(),
                            before.parts() + line.placed(),
                            before.material() + line.cost(),
                            before.seconds(),
                            before.machine()));
        }
        return List.copyOf(shares.values());
    }
}
