package dev.oleander.web.bench;

import dev.oleander.geometry.Region;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.ValueException;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.NestEdits;
import dev.oleander.web.nest.NestGroups;
import dev.oleander.web.nest.NestMaker;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.NestTimes;
import dev.oleander.web.nest.NestWishes;
import dev.oleander.web.nest.Nests;
import dev.oleander.web.paper.RegionPicture;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Pages round nests: jobs that could be nested together, and results side by side. */
@Controller
class NestPages {

    /** Results beside each other. */
    private static final int MOST_COMPARED = 4;

    private static final double PICTURE = 240;

    private final JobService jobs;
    private final JobComputer computer;
    private final NestMaker maker;
    private final NestSearch searches;
    private final NestGroups groups;
    private final NestEdits edits;
    private final NestTimes times;

    NestPages(
            JobService jobs,
            JobComputer computer,
            NestMaker maker,
            NestSearch searches,
            NestGroups groups,
            NestEdits edits,
            NestTimes times) {
        this.edits = edits;
        this.times = times;
        this.jobs = jobs;
        this.computer = computer;
        this.maker = maker;
        this.searches = searches;
        this.groups = groups;
    }

    @GetMapping("/nests/new")
    String fresh(@AuthenticationPrincipal SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("groups", groups.all());
        model.addAttribute("problem", "");
        return "nest-new";
    }

    /** A nest of whole jobs, all of one material and thickness. */
    @PostMapping("/nests")
    String make(
            @RequestParam String machine,
            @RequestParam String material,
            @RequestParam String thickness,
            @RequestParam(defaultValue = "") List<Long> jobs,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            List<NestWishes.PartsWish> parts = NestWishes.ofJobs(jobs);
            String name = "Nest of %s %s mm".formatted(material, thickness);
            JobDocument.Order order =
                    new JobDocument.Order(
                            name, machine, material, Typed.parse(thickness, Map.of()), 1);
            long made = maker.make(order, NestWishes.ofParts(parts), who);
            return "redirect:/jobs/%d/sheet".formatted(made);
        } catch (RefusedEditException
                | NotFoundException
                | FormulaException
                | ValueException
                | PlanException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            fresh(who, model);
            model.addAttribute("problem", refused.getMessage());
            return "nest-new";
        }
    }

    /**
     * A result beside others.
     *
     * @param best which of its figures are the best of all
     * @param sheets pictures, as SVG
     */
    record Compared(
            int number,
            String how,
            int sheetCount,
            String share,
            String cost,
            int missing,
            String rests,
            List<String> best,
            boolean taken,
            List<String> sheets) {}

    /** Up to four results beside each other. */
    @GetMapping("/jobs/{id}/nest/compare")
    String compare(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
        JobService.Present present = jobs.present(id);
        List<NestResult> found =
                searches.of(id).stream()
                        .filter(s -> s.state().isOver() && s.best().isPresent())
                        .limit(MOST_COMPARED)
                        .toList();
        List<NestedSheet> laid =
                present.document()
                        .nest()
                        .map(nest -> nest.choices().laid())
                        .orElseThrow(() -> new RefusedEditException("The parts are not nested."));
        model.addAttribute("who", who);
        model.addAttribute("jobId", id);
        model.addAttribute("step", present.step());
        model.addAttribute("name", present.document().name());
        model.addAttribute("compared", compared(found, laid));
        return "nest-compare";
    }

    /** What one of them takes on the machine: it is planned for that. */
    @GetMapping("/jobs/{id}/nest/compare/{number}")
    String times(@PathVariable long id, @PathVariable int number, Model model) {
        NestTimes.Times of = times.of(id, number);
        model.addAttribute("problem", of.problem());
        model.addAttribute("time", Numbers.duration(of.seconds()));
        model.addAttribute("machine", Numbers.fixed(of.machine(), 2));
        model.addAttribute("all", Numbers.fixed(of.all(), 2));
        model.addAttribute("each", Numbers.fixed(of.each(), 2));
        return "nest-compare :: times";
    }

    /** The job takes one of them. */
    @PostMapping("/jobs/{id}/nest/compare")
    String take(
            @PathVariable long id,
            @RequestParam int number,
            @RequestParam Integer step,
            @AuthenticationPrincipal SignedIn who) {
        jobs.edit(
                id,
                step,
                "Nest %d taken".formatted(number),
                edits.laid(searches.requireBest(id, number).sheets()),
                who);
        return "redirect:/jobs/%d/sheet".formatted(id);
    }

    private List<Compared> compared(List<NestResult> found, List<NestedSheet> laid) {
        // what leaves parts out is not cheaper
        int missing = found.stream().mapToInt(s -> s.best().get().missing()).min().orElse(0);
        List<NestResult.Best> whole =
                found.stream()
                        .map(s -> s.best().get())
                        .filter(b -> b.missing() == missing)
                        .toList();
        double share = whole.stream().mapToDouble(NestResult.Best::share).max().orElse(0);
        double cost = whole.stream().mapToDouble(NestResult.Best::cost).min().orElse(0);
        List<Compared> all = new ArrayList<>();
        for (NestResult search : found) {
            NestResult.Best best = search.best().get();
            List<String> first = new ArrayList<>();
            if (whole.size() > 1 && whole.contains(best) && best.share() == share) {
                first.add("share");
            }
            if (whole.size() > 1 && whole.contains(best) && best.cost() == cost) {
                first.add("cost");
            }
            if (found.size() > whole.size() && whole.contains(best)) {
                first.add("missing");
            }
            all.add(compared(search, best, first, best.sheets().equals(laid)));
        }
        return all;
    }

    private Compared compared(
            NestResult search, NestResult.Best best, List<String> first, boolean taken) {
        JobResult result = computer.result(searches.document(search));
        NestTask task = Nests.task(result);
        NestFigures figures = NestFigures.of(task, best.sheets());
        String rests =
                figures.rests().stream()
                        .flatMap(Optional::stream)
                        .map(
                                box ->
                                        "%s × %s"
                                                .formatted(
                                                        Numbers.plain(box.width(), 0),
                                                        Numbers.plain(box.height(), 0)))
                        .reduce((a, b) -> a + ", " + b)
                        .orElse("none");
        List<String> pictures =
                Nests.counted(task, best.sheets()).stream()
                        .map(counted -> picture(task, counted))
                        .toList();
        return new Compared(
                search.number(),
                "%s, %s s, seed %d"
                        .formatted(
                                search.wish().from().word(),
                                Numbers.plain(search.seconds(), 0),
                                search.wish().seed()),
                figures.sheets(),
                Numbers.fixed(100 * best.share(), 1) + " %",
                Numbers.fixed(best.cost(), 2),
                best.missing(),
                rests,
                first,
                taken,
                pictures);
    }

    private static String picture(NestTask task, Nests.Counted counted) {
        List<Region> parts = Nests.parts(task, counted.sheet());
        return RegionPicture.of(
                task.sheet(counted.sheet().stock()).region().box(),
                parts,
                PICTURE,
                "%d × a sheet with %d parts".formatted(counted.times(), parts.size()));
    }
}
