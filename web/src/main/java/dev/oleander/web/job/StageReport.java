package dev.oleander.web.job;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.nesting.NestFault;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Released;
import dev.oleander.web.job.store.Stage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Says of each stage of a job what it still needs. */
public final class StageReport {

    /** What a stage says while the plan is made. */
    static final String BEING_PLANNED = "being planned";

    /** What Proof says while there is a plan but no proof yet. */
    static final String BEING_PROVED = "being proved";

    private static final String STOPPED = "Planning was stopped. Plan the job when you need it.";

    private static final String PROOF_STOPPED =
            "The proof was stopped. Prove the job when you need it.";

    private static final String PROOF_FAILED =
            "The proof failed for a reason of Oleander's own, which was logged. Prove again, or change the job.";

    private static final String FAILED =
            "Planning failed for a reason of Oleander's own, which was logged. Plan again, or change the job.";

    private final JobResult result;
    private final Optional<Released> latest;
    private final Optional<Planning.State> planning;

    /**
     * @param latest the newest release of the job
     * @param planning how far the plan is; empty when it is complete
     */
    StageReport(JobResult result, Optional<Released> latest, Optional<Planning.State> planning) {
        this.result = result;
        this.latest = latest;
        this.planning = planning;
    }

    /** All five, in working order. */
    public List<StageView> stages() {
        List<StageView> stages = new ArrayList<>();
        stages.add(shape());
        if (result.isPlanned()) {
            stages.add(cuts());
            stages.add(sheet());
            stages.add(result.isProved() ? proof() : unproved());
        } else if (planning.isPresent()) {
            stages.addAll(unplanned(planning.get()));
        } else {
            stages.add(StageView.open(Stage.CUTS, "waits for the sheet"));
            stages.add(StageView.needs(Stage.SHEET, notUsable(), List.of(result.refusal())));
            stages.add(StageView.open(Stage.PROOF, "waits for the sheet"));
        }
        stages.add(release());
        return stages;
    }

    private String notUsable() {
        boolean empty =
                result.document()
                        .nest()
                        .filter(nest -> nest.choices().laid().isEmpty())
                        .isPresent();
        return empty ? "nothing laid yet" : "not usable";
    }

    private static List<StageView> unplanned(Planning.State state) {
        List<Stage> waiting = List.of(Stage.CUTS, Stage.SHEET, Stage.PROOF);
        return switch (state.end()) {
            case NONE -> waiting.stream().map(s -> StageView.working(s, BEING_PLANNED)).toList();
            case STOPPED -> allNeed(waiting, "not planned", STOPPED);
            case FAILED -> allNeed(waiting, "planning failed", FAILED);
        };
    }

    private StageView unproved() {
        Planning.State.End end = planning.map(Planning.State::end).orElse(Planning.State.End.NONE);
        return switch (end) {
            case NONE -> StageView.working(Stage.PROOF, BEING_PROVED);
            case STOPPED -> StageView.needs(Stage.PROOF, "not proved", List.of(PROOF_STOPPED));
            case FAILED -> StageView.needs(Stage.PROOF, "proof failed", List.of(PROOF_FAILED));
        };
    }

    private static List<StageView> allNeed(List<Stage> stages, String sentence, String need) {
        return stages.stream().map(s -> StageView.needs(s, sentence, List.of(need))).toList();
    }

    /** The first stage that needs something, or is at work; Release when none is. */
    public static StageView next(List<StageView> stages) {
        return first(stages, StageView.State.NEEDS)
                .or(() -> first(stages, StageView.State.WORKING))
                .orElse(stages.get(stages.size() - 1));
    }

    private static Optional<StageView> first(List<StageView> stages, StageView.State state) {
        return stages.stream().filter(s -> s.state() == state).findFirst();
    }

    /** What the ticket says has to be done next. */
    public static String nextAction(List<StageView> stages) {
        StageView next = next(stages);
        if (!next.needs().isEmpty()) {
            return next.needs().get(0);
        }
        boolean isWhole = next.isReady() || next.state() == StageView.State.WORKING;
        return isWhole ? next.sentence() : next.sentence() + ": ready to release";
    }

    /** What is to be fixed or looked at on Shape before the parts of a job can be trusted. */
    public static List<String> shapeNeeds(JobResult result) {
        Reading reading = result.reading();
        Set<String> worked = worked(result);
        List<String> needs = new ArrayList<>();
        reading.openFaults().stream()
                .filter(f -> f.kind() != Fault.Kind.OPEN || !worked.containsAll(f.features()))
                .forEach(f -> needs.add(f.sentence()));
        reading.drawing().skipped().stream()
                .filter(Skipped::lineWork)
                .forEach(s -> needs.add(leftOut(s)));
        if (reading.drawing().unitGuessed()) {
            needs.add(
                    "The file does not say its unit; %s were taken. Check the size."
                            .formatted(reading.drawing().unit().symbol()));
        }
        String revision = revisionNeed(result.document().shape().revision());
        if (!revision.isEmpty()) {
            needs.add(0, revision);
        }
        return needs;
    }

    /** What has a stop although it is open: its kind of work follows lines. */
    private static Set<String> worked(JobResult result) {
        return result.isPlanned()
                ? result.run().cut().stream().map(Stop::feature).collect(Collectors.toSet())
                : Set.of();
    }

    private StageView shape() {
        Reading reading = result.reading();
        List<String> needs = shapeNeeds(result);
        if (reading.features().isEmpty()) {
            return StageView.open(Stage.SHAPE, "nothing drawn yet");
        }
        if (needs.isEmpty() && !reading.hasWork()) {
            return StageView.open(Stage.SHAPE, "no line is cut yet");
        }
        if (needs.isEmpty()) {
            return StageView.ready(Stage.SHAPE, shapeSummary(reading));
        }
        return StageView.needs(Stage.SHAPE, count(needs.size(), "thing") + " to decide", needs);
    }

    /** What a new version of the drawing leaves to decide; empty when it is taken over. */
    public static String revisionNeed(ShapeChoices.Revision revision) {
        int stale = revision.stale().size();
        int lost = revision.lost().size();
        if (stale == 0 && lost == 0) {
            return "";
        }
        List<String> parts = new ArrayList<>();
        if (stale > 0) {
            parts.add(count(stale, "line") + " moved or changed");
        }
        if (lost > 0) {
            parts.add(count(lost, "line") + (lost == 1 ? " is gone" : " are gone"));
        }
        return "New version of the drawing: %s. Look at them and take it over on Shape."
                .formatted(String.join(", ", parts));
    }

    private static String leftOut(Skipped s) {
        return "%d %s on layer %s left out: %s."
                .formatted(s.count(), s.entity(), s.layer(), s.why());
    }

    private static String shapeSummary(Reading reading) {
        long openings = reading.cut().filter(f -> f.kind() == Feature.Kind.OPENING).count();
        return count(reading.parts().size(), "part")
                + (openings == 0 ? "" : ", " + count(openings, "opening"));
    }

    private StageView cuts() {
        List<Stop> refused = result.allStops().filter(s -> s.refusal().isPresent()).toList();
        if (!refused.isEmpty()) {
            return StageView.needs(
                    Stage.CUTS,
                    count(refused.size(), "stop") + " cannot be cut",
                    refused.stream().map(s -> s.refusalSentence().orElseThrow()).toList());
        }
        long stops = result.allStops().count();
        return stops == 0
                ? StageView.open(Stage.CUTS, "nothing to cut")
                : StageView.ready(Stage.CUTS, count(stops, "stop"));
    }

    private StageView sheet() {
        SheetLayout layout = result.run().layout();
        List<String> faults = result.nestFaults().stream().map(NestFault::sentence).toList();
        if (!faults.isEmpty()) {
            return StageView.needs(Stage.SHEET, count(faults.size(), "thing") + " to fix", faults);
        }
        String missing = result.reading().features().isEmpty() ? "" : missing(result);
        if (!missing.isEmpty()) {
            boolean nested = result.document().nest().isPresent();
            String some = nested ? "parts are missing" : "not all fit";
            String sentence = layout.placed() == 0 ? "no copy fits" : some;
            return StageView.needs(Stage.SHEET, sentence, List.of(missing));
        }
        if (result.run().stops().isEmpty()) {
            return StageView.open(Stage.SHEET, "nothing yet");
        }
        int sheets = result.sheets();
        String used = Numbers.plain(100 * usedInAll(result), 0) + " % of ";
        return StageView.ready(Stage.SHEET, used + (sheets == 1 ? "it used" : sheets + " sheets"));
    }

    /** What of the quantity lies on no sheet, and why; empty when nothing does. */
    public static String missing(JobResult result) {
        Demand wanted = result.demand();
        Demand left = wanted.less(result.made(), 1);
        if (left.isEmpty()) {
            return "";
        }
        if (wanted.all() == 1) {
            return SheetLayout.NOTHING_FITS;
        }
        String what =
                left.isWhole()
                        ? ""
                        : left.of().keySet().stream()
                                .map(part -> PartRef.within(part.id()))
                                .collect(Collectors.joining(", ", ": ", ""));
        String advice =
                result.document().nest().isPresent()
                        ? "Search for the rest, or give the nest another sheet."
                        : SheetLayout.NOTHING_FITS;
        return "%d of %d are missing%s. %s".formatted(left.all(), wanted.all(), what, advice);
    }

    /** Share of the stock of a run that becomes parts. */
    public static double usedShare(JobResult run) {
        return run.setUp().heads().count() * kept(run) / stock(run);
    }

    /** The same of the stock of all runs. */
    private static double usedInAll(JobResult result) {
        double stock = result.runs().stream().mapToDouble(r -> r.setUp().count() * stock(r)).sum();
        double kept = result.runs().stream().mapToDouble(r -> r.setUp().times() * kept(r)).sum();
        return kept / stock;
    }

    private static double stock(JobResult run) {
        return run.setUp().stockArea(run.run().layout());
    }

    /** As one head sees it. */
    private static double kept(JobResult run) {
        return run.run().layout().keptArea(run.reading());
    }

    private StageView proof() {
        List<Proof> proofs = result.runs().stream().map(JobResult::proof).toList();
        List<Finding> open = proofs.stream().flatMap(p -> p.open().stream()).toList();
        if (proofs.stream().noneMatch(Proof::cuts) && open.isEmpty()) {
            return StageView.open(Stage.PROOF, "nothing yet");
        }
        if (open.isEmpty()) {
            long notes = proofs.stream().mapToLong(p -> p.count(Severity.NOTE)).sum();
            String sentence = notes == 0 ? "nothing found" : count(notes, "note");
            return StageView.ready(Stage.PROOF, sentence);
        }
        long must = proofs.stream().mapToLong(p -> p.count(Severity.MUST_FIX)).sum();
        String sentence =
                must > 0
                        ? count(must, "thing") + " to fix"
                        : count(open.size(), "thing") + " to look at";
        return StageView.needs(
                Stage.PROOF, sentence, open.stream().map(Finding::sentence).toList());
    }

    private StageView release() {
        if (latest.isEmpty()) {
            return StageView.open(Stage.RELEASE, "none yet");
        }
        String revision = "revision " + latest.get().revision();
        if (!latest.get().isOf(result)) {
            return StageView.open(Stage.RELEASE, revision + ", stale");
        }
        List<Integer> missing = latest.get().missing(result);
        return missing.isEmpty()
                ? StageView.ready(Stage.RELEASE, revision)
                : StageView.open(Stage.RELEASE, revision + ", " + without(missing));
    }

    /** Which sheets have no program yet. */
    private static String without(List<Integer> runs) {
        return "not sheet "
                + runs.stream().map(String::valueOf).collect(Collectors.joining(" and "));
    }

    private static String count(long number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }
}
