package dev.oleander.web.bench;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.FullSheet;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.Worded;
import dev.oleander.value.Value;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.Acceptances;
import dev.oleander.web.job.EventEdits;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.RunEdits;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Edits made on the bench. Each answers the fragments that changed; one that is refused answers 422
 * with the sentence beside the field, and the job stays as it was.
 */
@Controller
@RequestMapping("/jobs/{id}/{stage}")
class EditController {

    private final JobService jobs;
    private final ValueEdits valueEdits;
    private final RunEdits runEdits;
    private final EventEdits eventEdits;
    private final EditAnswers answers;

    EditController(
            JobService jobs,
            ValueEdits valueEdits,
            RunEdits runEdits,
            EventEdits eventEdits,
            EditAnswers answers) {
        this.runEdits = runEdits;
        this.jobs = jobs;
        this.valueEdits = valueEdits;
        this.eventEdits = eventEdits;
        this.answers = answers;
    }

    /** Sets a value of the selected stops, or of the job; without a value it is put back. */
    @PostMapping("/values")
    String values(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value,
            @RequestParam(defaultValue = "all") String scope) {
        List<String> ids = BenchController.ids(context.stop());
        context.model().addAttribute("scope", scope);
        return answers.answer(
                context,
                new EditError(field, value, ""),
                () -> {
                    Work<?, ?> kind = jobs.kind(context.id());
                    boolean ofJob = ids.isEmpty() || Value.find(kind.stopValues(), field).isEmpty();
                    String name =
                            ofJob
                                    ? ValueEdits.ofJob(kind, field).name()
                                    : ValueEdits.ofStop(kind, field).name() + of(ids);
                    JobService.Edit edit =
                            ofJob
                                    ? valueEdits.ofJob(field, value)
                                    : valueEdits.ofStops(
                                            ids, Scope.ofWord(scope), Map.of(field, value));
                    return edit(context, (value.isBlank() ? "Put back: " : "") + name, edit);
                });
    }

    private static String of(List<String> ids) {
        return ids.size() == 1 ? " of " + ids.get(0) : " of " + ids.size() + " stops";
    }

    /** Moves stops before another one, or by one place. */
    @PostMapping("/order")
    String order(
            @ModelAttribute("context") Context context,
            @RequestParam String moved,
            @RequestParam(defaultValue = "") String before,
            @RequestParam(defaultValue = "") String shift) {
        List<String> ids = BenchController.ids(moved);
        boolean up = shift.equals("up");
        JobService.Edit edit =
                shift.isEmpty() ? runEdits.move(ids, before) : runEdits.shift(ids, up);
        return answers.answer(
                context, EditError.NONE, () -> edit(context, "Order" + of(ids), edit));
    }

    /** Adds something that happens at the selected stops besides their cuts. */
    @PostMapping("/events")
    String addEvent(
            @ModelAttribute("context") Context context,
            @RequestParam String kind,
            @RequestParam String when,
            @RequestParam(defaultValue = "") String amount,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "all") String scope) {
        List<String> ids = BenchController.ids(context.stop());
        Scope reach = Scope.ofWord(scope);
        EventEdits.Wish wish = new EventEdits.Wish(kind, when.equals("before"), amount, text);
        context.model().addAttribute("scope", scope);
        return answers.answer(
                context,
                new EditError("events", text, ""),
                () -> edit(context, "Event" + of(ids), eventEdits.add(ids, reach, wish)));
    }

    /** Takes one of them away. */
    @PostMapping("/events/remove")
    String removeEvent(
            @ModelAttribute("context") Context context,
            @RequestParam String kind,
            @RequestParam String when,
            @RequestParam double amount,
            @RequestParam(defaultValue = "") String text) {
        List<String> ids = BenchController.ids(context.stop());
        StopEvent event =
                new StopEvent(
                        known(Worded.of(StopEvent.Kind.class, kind), kind),
                        when.equals("before"),
                        amount,
                        text);
        return answers.answer(
                context,
                new EditError("events", "", ""),
                () -> edit(context, "Event taken away" + of(ids), eventEdits.remove(ids, event)));
    }

    /** Cuts the selected stops in the order in which they were selected. */
    @PostMapping("/sequence")
    String sequence(@ModelAttribute("context") Context context) {
        List<String> ids = BenchController.ids(context.stop());
        return answers.answer(
                context,
                new EditError("sequence", "", ""),
                () -> edit(context, "Order" + of(ids), runEdits.inSequence(ids)));
    }

    /** Copies what is set for the selected stop to the same contour of equal parts. */
    @PostMapping("/copies")
    String copies(@ModelAttribute("context") Context context) {
        List<String> ids = BenchController.ids(context.stop());
        String stop = ids.isEmpty() ? "" : ids.get(0);
        return answers.answer(
                context,
                new EditError("copies", "", ""),
                () ->
                        edit(
                                context,
                                "Copied to equal parts: " + stop,
                                valueEdits.copyToEqual(stop)));
    }

    /** Pins the selected stretch of stops, or unpins it. */
    @PostMapping("/pins")
    String pins(@ModelAttribute("context") Context context, @RequestParam boolean pinned) {
        List<String> ids = BenchController.ids(context.stop());
        JobService.Edit edit = pinned ? runEdits.pin(ids) : runEdits.unpin(ids);
        String label = (pinned ? "Pinned: " : "Unpinned: ") + ids.size() + " stops";
        return answers.answer(
                context, new EditError("pins", "", ""), () -> edit(context, label, edit));
    }

    /**
     * Sets a value of the whole job.
     *
     * @param material given with a machine whose cut book lacks the material there was; empty: as
     *     it is
     */
    @PostMapping("/order-values")
    String orderValue(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam String value,
            @RequestParam(defaultValue = "") String material) {
        Value<JobDocument> wanted = known(Value.find(OrderValues.ALL, field), field);
        UnaryOperator<JobDocument> with =
                material.isEmpty() ? d -> d : d -> OrderValues.MATERIAL.put(d, material);
        return answers.edit(
                context,
                new EditError(field, value, ""),
                wanted.name(),
                before -> with.apply(wanted.put(before.document(), value)));
    }

    /** Puts the stops in order by a rule. */
    @PostMapping("/order-rule")
    String orderRule(@ModelAttribute("context") Context context, @RequestParam String value) {
        return answers.answer(
                context,
                new EditError("order", value, ""),
                () ->
                        edit(
                                context,
                                "Order of the stops",
                                before -> Orders.by(before.document(), before.kind(), value)));
    }

    @PostMapping("/sheet-values")
    String sheetValue(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value) {
        Value<SheetChoices> wanted = known(BedValues.find(field), field);
        return answers.edit(
                context,
                new EditError(field, value, ""),
                wanted.name(),
                before -> {
                    BedValues.requirePart(field, before.reading());
                    return before.document()
                            .withSheet(wanted.put(before.document().sheet(), value));
                });
    }

    /** Texts say what holds now: each edit sees to that, and this one does nothing else. */
    @PostMapping("/texts")
    String texts(@ModelAttribute("context") Context context) {
        return answers.edit(
                context, EditError.NONE, "Texts brought up to date", before -> before.document());
    }

    /** As many copies in rows and columns as the sheet holds. */
    @PostMapping("/full-sheet")
    String fullSheet(@ModelAttribute("context") Context context) {
        return answers.edit(
                context,
                EditError.NONE,
                "Fill the sheet",
                before -> {
                    FullSheet full =
                            SheetSlip.filling(before)
                                    .orElseThrow(
                                            () ->
                                                    new RefusedEditException(
                                                            "The sheet holds no more copies in rows and columns."));
                    return before.document().withSheet(full.put(before.document().sheet()));
                });
    }

    /** What is done with a layer, or with one chain of it. */
    @PostMapping("/purposes")
    String purpose(
            @ModelAttribute("context") Context context,
            @RequestParam(defaultValue = "") String layer,
            @RequestParam(defaultValue = "") String feature,
            @RequestParam(defaultValue = "") String purpose) {
        JobService.Edit edit =
                before -> {
                    Purpose wanted = purposeOrNull(purpose);
                    return feature.isEmpty()
                            ? before.document().reshaped(s -> s.withLayer(layer, wanted))
                            : before.document().reshaped(s -> s.withFeature(feature, wanted));
                };
        String label = "Purpose of " + (feature.isEmpty() ? "layer " + layer : feature);
        return answers.answer(context, EditError.NONE, () -> edit(context, label, edit));
    }

    /**
     * @return null when nothing is said
     * @throws RefusedEditException when it is none of the words there are
     */
    static Purpose purposeOrNull(String word) {
        if (word.isEmpty()) {
            return null;
        }
        return Purpose.ofWord(word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no purpose: cut, mark, fold, start or ignore."
                                                .formatted(word)));
    }

    /** Accepts a finding with a reason; without one the acceptance is taken back. */
    @PostMapping("/acceptances")
    String accept(
            @ModelAttribute("context") Context context,
            @RequestParam String finding,
            @RequestParam(defaultValue = "") String reason) {
        String given =
                reason.isBlank() ? null : reason.strip() + " (" + context.who().fullName() + ")";
        return answers.answer(
                context,
                EditError.NONE,
                () ->
                        edit(
                                context,
                                given == null ? "Acceptance taken back" : "Finding accepted",
                                before ->
                                        Acceptances.of(before, before.document(), finding, given)));
    }

    @PostMapping("/undo")
    String undo(@ModelAttribute("context") Context context) {
        return answers.answer(
                context,
                EditError.NONE,
                () -> jobs.undo(context.id(), context.step(), context.who()));
    }

    @PostMapping("/redo")
    String redo(@ModelAttribute("context") Context context) {
        return answers.answer(
                context,
                EditError.NONE,
                () -> jobs.redo(context.id(), context.step(), context.who()));
    }

    private JobView edit(Context context, String label, JobService.Edit edit) {
        return answers.edited(context, label, edit);
    }

    private static <T> T known(Optional<T> field, String name) {
        return field.orElseThrow(
                () -> new NotFoundException("There is no value \"%s\".".formatted(name)));
    }
}
