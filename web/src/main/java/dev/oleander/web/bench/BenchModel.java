package dev.oleander.web.bench;

import dev.oleander.dialect.DialectException;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.stop.Stop;
import dev.oleander.price.PriceList;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.ReleaseSlip.Trial;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.Nests;
import dev.oleander.web.release.Previews;
import dev.oleander.web.release.ProgramPreview;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.WithRelease;
import dev.oleander.web.stock.Remnants;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Fills the model of a bench page, whole or in fragments. */
@Component
class BenchModel {

    private final ReleaseService releases;
    private final Previews previews;
    private final MachineLibrary machines;
    private final ShopRecipes recipes;
    private final PagesOfWork pages;
    private final PriceList prices;
    private final NestSearch searches;
    private final Nests nests;
    private final Remnants remnants;
    private final Books books;

    BenchModel(
            ReleaseService releases,
            Previews previews,
            MachineLibrary machines,
            ShopRecipes recipes,
            PagesOfWork pages,
            PriceList prices,
            NestSearch searches,
            Nests nests,
            Remnants remnants,
            Books books) {
        this.books = books;
        this.remnants = remnants;
        this.searches = searches;
        this.nests = nests;
        this.pages = pages;
        this.prices = prices;
        this.releases = releases;
        this.previews = previews;
        this.machines = machines;
        this.recipes = recipes;
    }

    /**
     * What a page shows besides the job itself.
     *
     * @param selection ids of stops, or of a feature on Shape; those that do not exist are passed
     *     over
     * @param revision whose program Release shows; empty: the next one's
     */
    record Shown(Stage stage, List<String> selection, String revision, EditError error) {

        static Shown of(Stage stage, List<String> selection, EditError error) {
            return new Shown(stage, selection, "", error);
        }
    }

    void fill(Model model, JobView job, Shown shown, SignedIn who) {
        JobResult result = job.result();
        boolean planned = result.isPlanned();
        model.addAttribute("job", job);
        if (!model.containsAttribute("scope")) {
            model.addAttribute("scope", "all");
        }
        model.addAttribute("stage", shown.stage());
        model.addAttribute("who", who);
        model.addAttribute("error", shown.error());
        model.addAttribute("foot", FootView.of(result));
        model.addAttribute("order", OrderSlip.of(result));
        WorkPages work = pages.of(result);
        model.addAttribute("work", work);
        model.addAttribute("machines", machines.machines());
        model.addAttribute("materialsInstead", materialsInstead(result, shown.error()));
        List<Stop> stops = planned ? selected(result, shown.selection()) : List.of();
        Set<String> ids = new LinkedHashSet<>(stops.stream().map(Stop::id).toList());
        model.addAttribute("runs", RunTab.of(result));
        model.addAttribute("runLine", planned ? RunLineView.of(result, ids) : null);
        model.addAttribute(
                "gain",
                planned ? job.before().map(b -> OrderGain.sentence(b, result)).orElse("") : "");
        if (shown.stage() == Stage.SHAPE) {
            Set<String> known = new HashSet<>(result.reading().byId().keySet());
            result.document().shape().steps().forEach(s -> known.add(s.id()));
            List<String> selected = shown.selection().stream().filter(known::contains).toList();
            model.addAttribute("shape", new ShapeSlip(result, selected, shown.error()));
            model.addAttribute("commands", CommandView.bar());
            model.addAttribute("selection", String.join(",", selected));
            return;
        }
        model.addAttribute("selection", String.join(",", ids));
        if (!stops.isEmpty()) {
            List<SlipSection> sections = work.ofStops(result, stops, shown.error());
            model.addAttribute("cuts", new CutsSlip(result, stops, sections));
        }
        if (shown.stage() == Stage.CUTS) {
            model.addAttribute("sections", work.ofJob(result, shown.error()));
            model.addAttribute(
                    "recipes",
                    planned ? RecipeSlip.of(result, stops, recipes, shown.error()) : null);
        }
        model.addAttribute("sheet", new SheetSlip(result, shown.error()));
        if (shown.stage() == Stage.SHEET) {
            Object open = model.getAttribute("open");
            model.addAttribute(
                    "nest",
                    NestSlip.of(
                            job,
                            searches,
                            nests,
                            remnants,
                            open == null ? "" : open.toString(),
                            shown.error()));
        }
        if (result.isProved() && shown.stage() == Stage.PROOF) {
            model.addAttribute("proof", new ProofSlip(result, ids, prices));
        }
        if (shown.stage() == Stage.RELEASE) {
            Trial trial = new Trial(result.dialect(), stops.size());
            model.addAttribute("release", release(job, planned, shown.revision(), trial));
        }
    }

    /** What a machine that was refused for the job's material can cut; mostly nothing. */
    private List<String> materialsInstead(JobResult result, EditError error) {
        if (!error.isPresent() || !error.field().equals(OrderValues.MACHINE.word())) {
            return List.of();
        }
        String material = result.document().order().material();
        return machines.find(error.typed()).map(m -> books.of(m).materials()).stream()
                .filter(known -> known.stream().noneMatch(material::equalsIgnoreCase))
                .flatMap(List::stream)
                .toList();
    }

    private ReleaseSlip release(JobView job, boolean planned, String shown, Trial trial) {
        List<Release> made = releases.ofJob(job.id());
        if (!planned) {
            List<String> waits = job.stage(Stage.SHEET).needs();
            List<String> obstacles =
                    waits.isEmpty() ? List.of("The plan is still being made.") : waits;
            return new ReleaseSlip(null, made, shown, obstacles, List.of(), false, trial);
        }
        List<String> obstacles = new ArrayList<>();
        ProgramPreview preview = null;
        try {
            preview = previews.of(job);
        } catch (DialectException impossible) {
            obstacles.add(impossible.getMessage());
        }
        String revision = StageReport.revisionNeed(job.document().shape().revision());
        if (!revision.isEmpty()) {
            obstacles.add(revision);
        }
        boolean fresh = job.stage(Stage.RELEASE).isReady();
        List<WithRelease.Obstacle> others = fresh ? List.of() : releases.obstacles(job);
        others.forEach(other -> obstacles.add(other.sentence()));
        job.result().nestFaults().forEach(fault -> obstacles.add(fault.sentence()));
        if (job.result().isProved()) {
            job.result().runs().stream()
                    .flatMap(run -> run.proof().open().stream())
                    .forEach(f -> obstacles.add(f.sentence()));
        } else {
            obstacles.add("The proof is still under way.");
        }
        return new ReleaseSlip(preview, made, shown, obstacles, others, fresh, trial);
    }

    private static List<Stop> selected(JobResult result, List<String> ids) {
        Map<String, Stop> stops = result.stops();
        return ids.stream().map(stops::get).filter(Objects::nonNull).toList();
    }
}
