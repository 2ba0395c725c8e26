package dev.oleander.web.bench;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.Rest;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.Stretch;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.search.SheetBodies;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.Nests;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the table draws of a nest besides the scene.
 *
 * @param sheet the one that is shown; null while nothing is laid
 * @param best sheets of the search that is under way, as it has them now; empty when none is
 */
record NestScene(Sheet sheet, List<Sheet> best) {

    /** mm; shown where there is no sheet at all. */
    private static final double[] NO_SHEET = {0, 0, 1000, 500};

    /**
     * A sheet with what lies on it.
     *
     * @param box left, bottom, right, top
     * @param outline contours of a sheet that is no rectangle; empty where it is one
     * @param rest the same of what is worth keeping; null when nothing is
     * @param zone the same of what one of several heads, or one beside them, cuts of it; null: all
     * @param heads that cut the same, one above the other
     * @param pitch mm from one to the next
     * @param how it is cut, for people; empty: all of it by one head
     */
    record Sheet(
            double[] box,
            List<double[]> outline,
            double[] rest,
            double[] zone,
            int heads,
            double pitch,
            String how,
            List<Placed> parts) {

        /** Nothing lies on it. */
        static Sheet empty(double[] box) {
            return new Sheet(box, List.of(), null, null, 1, 0, "", List.of());
        }
    }

    /**
     * A part where it lies.
     *
     * @param part its place among the parts of the scene
     * @param letter of its job; empty: of this one
     * @param to six numbers: (x, y) to (a x + c y + e, b x + d y + f)
     */
    record Placed(String line, int part, String letter, boolean locked, double[] to) {}

    /**
     * See {@link SheetBodies}.
     *
     * @param room left, bottom, right, top
     */
    record Bodies(double[] room, List<List<double[]>> fixed, List<List<double[]>> parts) {

        static Bodies of(SheetBodies bodies) {
            return new Bodies(numbers(bodies.room()), bodies.fixed(), bodies.parts());
        }
    }

    static NestScene of(JobView job, Optional<NestResult> latest) {
        JobResult result = job.result();
        Nesting nesting =
                result.nesting()
                        .orElseThrow(() -> new RefusedEditException("The parts are not nested."));
        List<Nests.Counted> laid =
                nesting.choices().laid().isEmpty()
                        ? List.of()
                        : Nests.counted(Nests.task(result), nesting.choices().laid());
        int shown = Math.min(job.run(), laid.size());
        return new NestScene(
                shown == 0 ? null : sheet(result, laid.get(shown - 1).sheet()),
                latest.filter(s -> !s.state().isOver())
                        .flatMap(NestResult::best)
                        .map(best -> best.sheets().stream().map(s -> sheet(result, s)).toList())
                        .orElse(List.of()));
    }

    /** A sheet that parts lie on; where they lie on none, the first one there is. */
    static Sheet first(JobResult result, int number) {
        Nesting nesting = result.nesting().orElseThrow();
        List<NestedSheet> laid = nesting.choices().laid();
        if (laid.isEmpty()) {
            double[] box =
                    nesting.choices().stock().stream()
                            .findFirst()
                            .map(line -> numbers(line.region().box()))
                            .orElse(NO_SHEET);
            return Sheet.empty(box);
        }
        List<Nests.Counted> counted = Nests.counted(Nests.task(result), laid);
        return sheet(result, counted.get(Math.min(number, counted.size()) - 1).sheet());
    }

    /** Of a sheet as the job has it; parts of lines that are gone are left out. */
    static Sheet sheet(JobResult result, NestedSheet sheet) {
        Nesting nesting = result.nesting().orElseThrow();
        NestTask task = Nests.task(result);
        SheetStock stock = task.sheet(sheet.stock());
        Stretch cut = sheet.part();
        List<String> parts = result.reading().parts().stream().map(Part::id).toList();
        Map<String, PartLine> lines =
                nesting.choices().lines().stream()
                        .collect(Collectors.toMap(PartLine::id, Function.identity()));
        NestedSheet known =
                sheet.with(
                        sheet.placements().stream()
                                .filter(p -> lines.containsKey(p.line()))
                                .toList());
        return new Sheet(
                numbers(stock.region().box()),
                SceneBuilder.outline(
                        Optional.of(stock.region()).filter(region -> !stock.isPlain())),
                Optional.of(known)
                        .flatMap(s -> Rest.of(task, s))
                        .map(NestScene::numbers)
                        .orElse(null),
                sheet.stretch() == null ? null : numbers(task.sheet(sheet).region().box()),
                cut.heads(),
                cut.pitch(),
                Nests.how(cut),
                known.placements().stream().map(p -> placed(p, lines, parts)).toList());
    }

    private static Placed placed(NestPlacement p, Map<String, PartLine> lines, List<String> parts) {
        PartLine line = lines.get(p.line());
        Transform t = p.transform();
        return new Placed(
                p.line(),
                parts.indexOf(line.ref().id()),
                line.source(),
                p.locked(),
                new double[] {t.a(), t.b(), t.c(), t.d(), t.e(), t.f()});
    }

    private static double[] numbers(Box box) {
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }
}
