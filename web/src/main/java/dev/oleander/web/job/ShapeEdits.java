package dev.oleander.web.job;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.DrawSteps;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.draw.Handles;
import dev.oleander.drawing.draw.Parameter;
import dev.oleander.drawing.draw.PictureLook;
import dev.oleander.drawing.draw.Supplies;
import dev.oleander.drawing.draw.TargetFinder;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Edits of the drawing: steps drawn, changed and taken away, mending, sides. */
@Component
public class ShapeEdits {

    /** Entities from which on a preview would lag behind the pointer. */
    private static final int MOST_PREVIEWED = 5000;

    private final JobComputer computer;

    private final Supplies supplies;

    ShapeEdits(JobComputer computer, Supplies supplies) {
        this.computer = computer;
        this.supplies = supplies;
    }

    /**
     * Something to draw.
     *
     * @param command word of a drawing command
     * @param near where a person pointed, mm in the drawing; null when nowhere
     * @param features ids of what was selected
     * @param values formulas by parameter
     */
    public record Wish(
            String command, Point near, List<String> features, Map<String, String> values) {}

    /** One more step, when it can be done. */
    public JobService.Edit draw(Wish wish) {
        return before -> {
            DrawStep step = step(before, wish);
            ShapeChoices shape = before.document().shape().plus(step);
            return checked(before.document().withShape(shape), step.id());
        };
    }

    private static DrawStep step(JobResult before, Wish wish) {
        Command command =
                Commands.find(wish.command())
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "There is no drawing command \"%s\"."
                                                        .formatted(wish.command())));
        return new DrawStep(
                before.document().shape().nextStep(),
                command.word(),
                targets(before, command, wish),
                given(command, wish.values()));
    }

    /**
     * What a step would draw and what it would take away.
     *
     * @param gone also what it would change
     */
    public record Preview(List<Chain> drawn, List<Chain> gone) {

        static final Preview NOTHING = new Preview(List.of(), List.of());
    }

    /** Shows what a wish would do; nothing when it cannot be done or the drawing is very large. */
    public Preview preview(JobResult before, Wish wish) {
        Drawing drawing = before.shape().drawn().drawing();
        if (drawing.entities().size() > MOST_PREVIEWED) {
            return Preview.NOTHING;
        }
        try {
            Drawn after =
                    new DrawSteps(names(before), supplies(before).rough())
                            .apply(drawing, List.of(step(before, wish)));
            return new Preview(
                    missing(after.drawing(), drawing), missing(drawing, after.drawing()));
        } catch (DrawException | RefusedEditException cannot) {
            return Preview.NOTHING;
        }
    }

    /** Chains of one drawing that are not in the other, or not so. */
    private static List<Chain> missing(Drawing drawing, Drawing other) {
        Map<String, List<Segment>> there = new HashMap<>();
        other.entities().forEach(e -> there.put(e.key(), e.segments()));
        return drawing.entities().stream()
                .filter(e -> !e.segments().equals(there.get(e.key())))
                .map(Entity::chain)
                .toList();
    }

    /** What was typed, or chosen otherwise than is usual. */
    private static Map<String, String> given(Command command, Map<String, String> values) {
        Map<String, String> given = given(values);
        for (Parameter p : command.parameters()) {
            boolean chosen = p.kind() == Parameter.Kind.CHOICE || p.kind() == Parameter.Kind.YES_NO;
            if (chosen && p.otherwise().equals(given.get(p.name()))) {
                given.remove(p.name());
            }
        }
        return given;
    }

    private static Map<String, String> given(Map<String, String> values) {
        Map<String, String> given = new TreeMap<>();
        values.forEach(
                (name, text) -> {
                    if (text != null && !text.isBlank()) {
                        given.put(name, text.strip());
                    }
                });
        return given;
    }

    /**
     * A step that cannot be done is refused; others that cannot any more are told in the reading.
     */
    private JobDocument checked(JobDocument after, String step) {
        return checked(after, List.of(step));
    }

    private JobDocument checked(JobDocument after, List<String> steps) {
        for (Drawn.Trouble trouble : computer.result(after).shape().drawn().troubles()) {
            if (steps.contains(trouble.step())) {
                throw DrawException.about(trouble.parameter(), trouble.sentence());
            }
        }
        return after;
    }

    private static List<String> targets(JobResult before, Command command, Wish wish) {
        if (command.targets() == Command.Targets.NONE) {
            return List.of();
        }
        Set<String> chosen = sources(before, wish.features());
        if (command.targets() == Command.Targets.CHAIN_OR_NONE) {
            return List.copyOf(chosen);
        }
        if (command.targets() == Command.Targets.SOME) {
            if (chosen.isEmpty()) {
                throw new RefusedEditException(
                        "Select what to work on first, then choose %s."
                                .formatted(command.label().toLowerCase(Locale.ROOT)));
            }
            return wholeSteps(before, chosen);
        }
        if (wish.near() == null) {
            throw new RefusedEditException("Click the place on the table.");
        }
        return new TargetFinder(before.reading().drawing(), chosen)
                .at(wish.near(), command.targets());
    }

    private static Set<String> sources(JobResult before, List<String> features) {
        Map<String, Feature> byId = before.reading().byId();
        return features.stream()
                .map(byId::get)
                .filter(f -> f != null)
                .flatMap(f -> f.sources().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** Where all that a step drew is chosen, the step itself is, so that its shape may grow. */
    private static List<String> wholeSteps(JobResult before, Set<String> chosen) {
        Map<String, List<String>> ofStep = new TreeMap<>();
        before.reading()
                .drawing()
                .entities()
                .forEach(
                        e ->
                                ofStep.computeIfAbsent(stepOf(e.key()), s -> new ArrayList<>())
                                        .add(e.key()));
        Set<String> targets = new LinkedHashSet<>();
        for (String key : chosen) {
            String step = stepOf(key);
            boolean whole =
                    step.startsWith("d")
                            && ofStep.get(step).size() > 1
                            && chosen.containsAll(ofStep.get(step));
            targets.add(whole ? step + "*" : key);
        }
        return List.copyOf(targets);
    }

    /** Step d3 drew d3, d3-2 and d3-3. */
    public static String stepOf(String key) {
        int dash = key.indexOf('-');
        return dash < 0 ? key : key.substring(0, dash);
    }

    /** Another value of a step, or of several of one command in one go. */
    public JobService.Edit setSteps(List<String> ids, String parameter, String text) {
        return before -> {
            JobDocument document = before.document();
            for (String id : ids) {
                List<DrawStep> steps = with(document.shape().steps(), id, Map.of(parameter, text));
                document = document.reshaped(s -> s.withSteps(steps));
            }
            return checked(document, ids);
        };
    }

    /** Other values of a step, worked out from how it stands. */
    public JobService.Edit setStep(String id, Function<JobResult, Map<String, String>> values) {
        return before -> {
            List<DrawStep> steps =
                    with(before.document().shape().steps(), id, values.apply(before));
            return checked(before.document().reshaped(s -> s.withSteps(steps)), id);
        };
    }

    /** All steps, one of them with other values. */
    private static List<DrawStep> with(List<DrawStep> all, String id, Map<String, String> changed) {
        List<DrawStep> steps = new ArrayList<>(all);
        int at = indexOf(steps, id);
        Map<String, String> values = new TreeMap<>(steps.get(at).values());
        values.putAll(changed);
        steps.set(at, steps.get(at).withValues(given(values)));
        return steps;
    }

    /**
     * What a step is taken hold of by.
     *
     * @throws DrawException when its values cannot be worked out
     */
    public Handles handles(JobResult of, String id) {
        List<DrawStep> steps = of.document().shape().steps();
        indexOf(steps, id);
        return new Handles(of.shape().drawn().before(), steps, id, names(of), supplies(of));
    }

    /** The picture of a step under its line work; empty when it draws none. */
    public Optional<PictureLook> picture(JobResult of, String id) {
        List<DrawStep> steps = of.document().shape().steps();
        return PictureLook.of(steps.get(indexOf(steps, id)), names(of), supplies.traces());
    }

    /**
     * The picture that has to be traced for a step.
     *
     * @param step one that is there with changed values only, or a new one
     */
    public Optional<PictureLook.Asked> asked(JobResult of, DrawStep step) {
        if (step.id().isEmpty()) {
            return PictureLook.asked(step.withValues(given(step.values())), names(of));
        }
        List<DrawStep> steps = with(of.document().shape().steps(), step.id(), step.values());
        return PictureLook.asked(steps.get(indexOf(steps, step.id())), names(of));
    }

    private Supplies supplies(JobResult of) {
        return supplies.of(of.document().shape().stamp());
    }

    private static Map<String, Double> names(JobResult of) {
        return Map.of("t", of.document().thickness().value());
    }

    /** Shows what other values of a step would do; nothing when they cannot be. */
    public Preview preview(JobResult before, String id, Map<String, String> values) {
        Drawn drawn = before.shape().drawn();
        if (drawn.drawing().entities().size() > MOST_PREVIEWED) {
            return Preview.NOTHING;
        }
        Drawn after =
                new DrawSteps(names(before), supplies(before).rough())
                        .apply(drawn.before(), with(before.document().shape().steps(), id, values));
        return after.troubles().stream().anyMatch(t -> t.step().equals(id))
                ? Preview.NOTHING
                : new Preview(
                        missing(after.drawing(), drawn.drawing()),
                        missing(drawn.drawing(), after.drawing()));
    }

    /** Takes steps away; what worked on them alone is told. */
    public JobService.Edit removeSteps(List<String> ids) {
        return before -> {
            List<DrawStep> steps = new ArrayList<>(before.document().shape().steps());
            ids.forEach(id -> steps.remove(indexOf(steps, id)));
            return before.document().reshaped(s -> s.withSteps(steps));
        };
    }

    private static int indexOf(List<DrawStep> steps, String id) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(id)) {
                return i;
            }
        }
        throw new NotFoundException("There is no step %s in this drawing.".formatted(id));
    }

    /** Mends what is named, with ends up to a tolerance (mm, 0.001 to 2) joined. */
    public JobService.Edit mend(Typed tolerance, Collection<MendOptions.Step> what) {
        return before -> {
            tolerance.within("The tolerance", 0.001, 2);
            return before.document().reshaped(s -> s.withMending(tolerance, what));
        };
    }

    /** Draws a line across every gap that was too large to be joined, in one go. */
    public JobService.Edit closeGaps() {
        return before -> {
            JobDocument document = before.document();
            List<Fault> gaps =
                    before.reading().openFaults().stream()
                            .filter(f -> f.kind() == Fault.Kind.GAP && f.ends().size() == 2)
                            .toList();
            if (gaps.isEmpty()) {
                throw new RefusedEditException("No gap is left to close.");
            }
            for (Fault gap : gaps) {
                List<DrawStep> steps = new ArrayList<>(document.shape().steps());
                steps.add(
                        new DrawStep(
                                document.shape().nextStep(),
                                "line",
                                List.of(),
                                across(gap.ends().get(0), gap.ends().get(1))));
                document = document.reshaped(s -> s.withSteps(steps));
            }
            return document;
        };
    }

    private static Map<String, String> across(Point from, Point to) {
        return Map.of(
                "x1", Double.toString(from.x()),
                "y1", Double.toString(from.y()),
                "x2", Double.toString(to.x()),
                "y2", Double.toString(to.y()));
    }

    /** Leaves a fault as it is, or asks about it again. */
    public JobService.Edit settle(String fault) {
        return before -> before.document().reshaped(s -> s.withSettled(fault));
    }

    /** Keeps the other side of a contour. */
    public JobService.Edit turn(String feature) {
        return before -> {
            Feature found = before.reading().byId().get(feature);
            if (found == null || !found.isClosed()) {
                throw new RefusedEditException(
                        "%s is no closed contour; it has no side to turn.".formatted(feature));
            }
            return before.document().reshaped(s -> s.withTurned(feature));
        };
    }
}
