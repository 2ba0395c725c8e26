package dev.oleander.web.bench;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.nest.NestCandidates;
import dev.oleander.web.nest.NestEdits;
import dev.oleander.web.nest.NestHand;
import dev.oleander.web.nest.NestMoves;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.NestWhy;
import dev.oleander.web.nest.NestWish;
import dev.oleander.web.nest.NestWishes;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Nests on the bench: what is asked for, searches, and parts moved by hand. */
@Controller
@RequestMapping("/jobs/{id}/{stage}/nest")
class NestController {

    private final EditAnswers answers;
    private final JobService jobs;
    private final NestEdits edits;
    private final NestHand hand;
    private final NestMoves moves;
    private final NestSearch searches;
    private final NestCandidates candidates;

    NestController(
            EditAnswers answers,
            JobService jobs,
            NestEdits edits,
            NestHand hand,
            NestMoves moves,
            NestSearch searches,
            NestCandidates candidates) {
        this.answers = answers;
        this.jobs = jobs;
        this.edits = edits;
        this.hand = hand;
        this.moves = moves;
        this.searches = searches;
        this.candidates = candidates;
    }

    /** Parts are nested, or lie in rows and columns again. */
    @PostMapping
    String way(@ModelAttribute("context") Context context, @RequestParam String value) {
        boolean nest = value.equals("nest");
        return answers.edit(
                context,
                new EditError("way", value, ""),
                nest ? "Parts are nested" : "Rows and columns",
                nest ? edits.begin() : edits.end());
    }

    /** Sets a value of a line, a sheet, or of the whole nest: l1.quantity, s1.width, gap. */
    @PostMapping("/values")
    String values(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value) {
        int dot = field.indexOf('.');
        String id = field.substring(0, Math.max(0, dot));
        String word = field.substring(dot + 1);
        context.model().addAttribute("open", id);
        boolean ofLine = Value.find(NestValues.OF_LINES, word).isPresent();
        JobService.Edit edit =
                id.isEmpty()
                        ? edits.distance(word, value)
                        : ofLine ? edits.line(id, word, value) : edits.sheet(id, word, value);
        String label = id.isEmpty() ? word : "%s of %s".formatted(word, id);
        return answers.edit(context, new EditError(field, value, ""), "Nest: " + label, edit);
    }

    /** Values of a line or a sheet that is opened. */
    @GetMapping("/values")
    String valuesOf(@ModelAttribute("context") Context context, @RequestParam String of) {
        Nesting nesting =
                jobs.view(context.id())
                        .result()
                        .nesting()
                        .orElseThrow(() -> new NotFoundException("The job has no nest."));
        Model model = context.model();
        model.addAttribute("rows", new NestRows(nesting, EditError.NONE).of(of));
        model.addAttribute("jobId", context.id());
        model.addAttribute("stageWord", context.stage());
        model.addAttribute("who", context.who());
        return "bench/nest :: values";
    }

    /** Takes parts of jobs in. */
    @PostMapping("/parts")
    String add(
            @ModelAttribute("context") Context context,
            @RequestParam(defaultValue = "") List<Long> jobs) {
        return answers.edit(
                context,
                new EditError("parts", "", ""),
                "Parts of %d jobs added"
                        .formatted(jobs.stream().filter(Objects::nonNull).distinct().count()),
                before -> edits.add(NestWishes.ofJobs(jobs)).apply(before));
    }

    @PostMapping("/lines/remove")
    String removeLine(@ModelAttribute("context") Context context, @RequestParam String line) {
        return answers.edit(
                context, new EditError("parts", "", ""), "Line taken out", edits.withoutLine(line));
    }

    @PostMapping("/sheets")
    String addSheet(@ModelAttribute("context") Context context) {
        return answers.edit(
                context,
                new EditError("sheets", "", ""),
                "Sheet added",
                edits.addSheet(StockLine.plain("", 2000, 1000)));
    }

    @PostMapping("/sheets/remove")
    String removeSheet(@ModelAttribute("context") Context context, @RequestParam String sheet) {
        return answers.edit(
                context,
                new EditError("sheets", "", ""),
                "Sheet taken out",
                edits.withoutSheet(sheet));
    }

    /** A remnant of the shop may be used. */
    @PostMapping("/remnants")
    String addRemnant(@ModelAttribute("context") Context context, @RequestParam long remnant) {
        return answers.edit(
                context,
                new EditError("sheets", "", ""),
                "Remnant %d added".formatted(remnant),
                edits.addRemnant(remnant));
    }

    @PostMapping("/renew")
    String renew(@ModelAttribute("context") Context context, @RequestParam String letter) {
        return answers.edit(
                context,
                new EditError("parts", "", ""),
                "Parts of %s as they are now".formatted(letter),
                edits.renew(letter));
    }

    /** Jobs whose parts could be taken in. */
    @GetMapping("/candidates")
    String candidates(
            @PathVariable long id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "") String text,
            Model model) {
        model.addAttribute("candidates", candidates.of(id, text));
        model.addAttribute("jobId", id);
        model.addAttribute("stageWord", stage);
        model.addAttribute("text", text);
        return "bench/nest :: candidates";
    }

    // ---- searches

    /**
     * Begins a search.
     *
     * @param from afresh, here, rest; or press: only pushed together from here
     */
    @PostMapping("/search")
    String search(
            @ModelAttribute("context") Context context,
            @RequestParam String from,
            @RequestParam String seconds) {
        return answers.answer(
                context,
                new EditError("search", seconds, ""),
                () -> {
                    int seed = 1 + searches.latest(context.id()).map(NestResult::number).orElse(0);
                    searches.begin(context.id(), wish(from, seconds, seed), context.who());
                    return jobs.view(context.id());
                });
    }

    /** Who searches again wants to see something else. */
    private static NestWish wish(String from, String seconds, int seed) {
        int threads = NestSearch.usualThreads();
        double time = Typed.parse(seconds, Map.of()).value();
        return from.equals("press")
                ? NestWish.pressing(threads)
                : new NestWish(NestWish.From.ofWord(from), time, null, null, seed, threads);
    }

    /** How far the search is; when it is over, all that hangs on it. */
    @GetMapping("/search")
    String progress(@ModelAttribute("context") Context context) {
        Optional<NestResult> going = searches.latest(context.id()).filter(s -> !s.state().isOver());
        if (going.isEmpty()) {
            return answers.renewed(context, jobs.view(context.id()));
        }
        searches.wanted(going.get());
        Model model = context.model();
        model.addAttribute("running", NestSearches.Running.of(going.get()));
        model.addAttribute("jobId", context.id());
        model.addAttribute("stageWord", context.stage());
        model.addAttribute("edits", context.who().edits());
        return "bench/nest :: running";
    }

    /** Ends it; what it has found is kept, and taken when it is better. */
    @PostMapping("/stop")
    String stop(@ModelAttribute("context") Context context) {
        searches.stop(context.id());
        return answers.answer(context, EditError.NONE, () -> jobs.view(context.id()));
    }

    @PostMapping("/take")
    String take(@ModelAttribute("context") Context context, @RequestParam int number) {
        return answers.answer(
                context,
                new EditError("search", "", ""),
                () ->
                        answers.edited(
                                context,
                                "Nest %d taken".formatted(number),
                                edits.laid(searches.requireBest(context.id(), number).sheets())));
    }

    // ---- by hand

    /** Moves, turns, mirrors or fixes a part; see {@link NestHand.Wish}. */
    @PostMapping("/place")
    String place(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam(defaultValue = "0") double dx,
            @RequestParam(defaultValue = "0") double dy,
            @RequestParam(defaultValue = "0") double turn,
            @RequestParam(required = false) Boolean mirrored,
            @RequestParam(required = false) Boolean locked,
            @RequestParam(required = false) Integer sheet) {
        NestHand.Wish wish =
                new NestHand.Wish(
                        null,
                        null,
                        null,
                        mirrored,
                        locked,
                        sheet,
                        dx == 0 && dy == 0 ? null : new Point(dx, dy),
                        turn == 0 ? null : turn);
        return byHand(context, "Part moved", hand.place(context.run(), part, wish));
    }

    /** Lays a part that was dragged; it goes on to what is near. */
    @PostMapping("/drop")
    String drop(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam double dx,
            @RequestParam double dy) {
        return byHand(context, "Part moved", hand.drop(context.run(), part, new Point(dx, dy)));
    }

    private String byHand(Context context, String label, JobService.Edit edit) {
        return answers.answer(
                context,
                new EditError("hand", "", ""),
                () -> jobs.edit(context.id(), context.step(), label, edit, context.who()));
    }

    /** Moves a part exactly so far; what is in its way goes aside. */
    @PostMapping("/make-room")
    String makeRoom(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam double dx,
            @RequestParam double dy) {
        return byHand(context, "Room made", moves.makeRoom(context.run(), part, new Point(dx, dy)));
    }

    /** Slides a part left, right, up or down until something is in its way. */
    @PostMapping("/push")
    String push(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam String to) {
        return byHand(
                context,
                "Part pushed " + to,
                moves.push(context.run(), part, NestMoves.Direction.of(to)));
    }

    /** Brings a part in line with another. */
    @PostMapping("/align")
    String align(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam int other,
            @RequestParam String edge) {
        return byHand(
                context,
                "Part aligned",
                moves.align(context.run(), part, other, NestMoves.Edge.of(edge)));
    }

    @PostMapping("/take-off")
    String takeOff(@ModelAttribute("context") Context context, @RequestParam int part) {
        return byHand(context, "Part taken off", hand.takeOff(context.run(), part));
    }

    @PostMapping("/swap")
    String swap(
            @ModelAttribute("context") Context context,
            @RequestParam int part,
            @RequestParam int other) {
        return byHand(context, "Parts exchanged", hand.swap(context.run(), part, other));
    }

    /** Lays one more of a line on the sheet that is shown. */
    @PostMapping("/lay")
    String lay(
            @ModelAttribute("context") Context context,
            @RequestParam String line,
            @RequestParam double x,
            @RequestParam double y) {
        return byHand(context, "Part laid", hand.lay(line, context.run(), new Point(x, y)));
    }

    /** Why a part lies where it does. */
    @GetMapping("/part")
    String why(@PathVariable long id, @RequestParam int run, @RequestParam int part, Model model) {
        model.addAttribute(
                "why",
                NestWhy.of(jobs.view(id).result(), run, part).entrySet().stream()
                        .map(e -> new ShapeSlip.Figure(e.getKey(), e.getValue()))
                        .toList());
        return "bench/nest :: why";
    }

    /** Where a part would come to lie, while it is dragged. */
    @GetMapping("/try")
    @ResponseBody
    NestHand.Trial tried(
            @PathVariable long id,
            @RequestParam int run,
            @RequestParam int part,
            @RequestParam double dx,
            @RequestParam double dy) {
        try {
            return hand.tried(jobs.view(id).result(), run, part, new Point(dx, dy));
        } catch (NestException | RefusedEditException impossible) {
            return NestHand.Trial.none(impossible.getMessage());
        }
    }

    /** What a browser needs to tell at once where a part that is dragged has room. */
    @GetMapping("/bodies")
    @ResponseBody
    NestScene.Bodies bodies(@PathVariable long id, @RequestParam(defaultValue = "1") int run) {
        return NestScene.Bodies.of(hand.bodies(jobs.view(id).result(), run));
    }

    /** What lies on the sheets, and what was found last while a search is under way. */
    @GetMapping("/scene")
    @ResponseBody
    NestScene scene(@PathVariable long id, @RequestParam(defaultValue = "1") int run) {
        return NestScene.of(jobs.view(id).on(run), searches.latest(id));
    }
}
