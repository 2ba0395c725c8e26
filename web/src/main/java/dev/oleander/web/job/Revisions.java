package dev.oleander.web.job;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.revise.ReadingMatch;
import dev.oleander.geometry.Point;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.StopEvent;
import dev.oleander.web.job.ShapeChoices.Lost;
import dev.oleander.web.job.ShapeChoices.Revision;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/**
 * A new version of the drawing of a job: what was decided about features that are still there goes
 * over to them; what moved is stale, what is gone is listed with its old place.
 */
@Component
public class Revisions {

    /** mm; a contour that lies no farther from the old one is the same. */
    private static final double SAME = 0.02;

    private final JobComputer computer;

    Revisions(JobComputer computer) {
        this.computer = computer;
    }

    /**
     * What a new version did.
     *
     * @param kept number of features that did not change
     * @param stale ids of those that moved or changed
     */
    public record Outcome(JobDocument document, int kept, List<String> stale, List<Lost> lost) {}

    /**
     * @param files ids of the new version's files
     * @throws dev.oleander.drawing.DrawingException when one cannot be read
     */
    Outcome revise(JobResult before, List<Long> files) {
        ShapeChoices shape = before.document().shape();
        JobDocument plain = before.document().withShape(shape.withFiles(files, Revision.NONE));
        ReadingMatch.Match match =
                new ReadingMatch(SAME).match(before.reading(), computer.result(plain).reading());
        Map<String, String> ids = new HashMap<>(match.same());
        ids.putAll(match.changed());
        List<Lost> lost = match.lost().stream().map(Revisions::lost).toList();
        Revision open = new Revision(new TreeSet<>(match.changed().values()), lost);
        JobDocument after =
                plain.withPlan(carried(before.document().plan(), ids))
                        .reshaped(
                                s ->
                                        s.withFeatures(carried(shape.features(), ids))
                                                .withTurned(carried(shape.turned(), ids))
                                                .withRevision(open));
        return new Outcome(after, match.same().size(), List.copyOf(match.changed().values()), lost);
    }

    private static Lost lost(Feature f) {
        Point at = f.chain().box().centre();
        String name = f.form().map(form -> form.label()).orElse("Line");
        return new Lost(f.id(), name, at.x(), at.y());
    }

    private static Map<String, Purpose> carried(
            Map<String, Purpose> values, Map<String, String> ids) {
        Map<String, Purpose> carried = new TreeMap<>();
        values.forEach(
                (id, purpose) -> {
                    if (ids.containsKey(id)) {
                        carried.put(ids.get(id), purpose);
                    }
                });
        return carried;
    }

    private static Collection<String> carried(Collection<String> values, Map<String, String> ids) {
        return values.stream().map(ids::get).filter(Objects::nonNull).toList();
    }

    /** Choices are kept by feature, or by feature and copy: c3, c3.2. */
    private static PlanChoices carried(PlanChoices plan, Map<String, String> ids) {
        Map<String, StopChoice> stops = new TreeMap<>();
        plan.stops()
                .forEach(
                        (key, choice) -> {
                            String moved = carried(key, ids);
                            if (moved != null) {
                                stops.put(moved, choice);
                            }
                        });
        List<String> sequence =
                plan.sequence().stream()
                        .map(key -> carried(key, ids))
                        .filter(Objects::nonNull)
                        .toList();
        PlanChoices carried =
                new PlanChoices(
                        plan.quality(),
                        plan.order(),
                        sequence,
                        stops,
                        plan.smallHoles(),
                        plan.recipes(),
                        given(plan, ids),
                        pins(plan, ids),
                        events(plan, ids));
        boolean whole = sequence.size() == plan.sequence().size();
        return plan.order() == OrderRule.BY_HAND && !whole
                ? carried.withOrder(OrderRule.PART_BY_PART, List.of())
                : carried;
    }

    private static Map<String, List<StopEvent>> events(PlanChoices plan, Map<String, String> ids) {
        Map<String, List<StopEvent>> events = new TreeMap<>();
        plan.events()
                .forEach(
                        (key, all) -> {
                            String moved = carried(key, ids);
                            if (moved != null) {
                                events.put(moved, all);
                            }
                        });
        return events;
    }

    private static List<List<String>> pins(PlanChoices plan, Map<String, String> ids) {
        return plan.pins().stream()
                .map(
                        pin ->
                                pin.stream()
                                        .map(key -> carried(key, ids))
                                        .filter(Objects::nonNull)
                                        .toList())
                .filter(pin -> pin.size() > 1)
                .toList();
    }

    private static Map<String, String> given(PlanChoices plan, Map<String, String> ids) {
        Map<String, String> given = new TreeMap<>();
        plan.given()
                .forEach(
                        (feature, recipe) -> {
                            if (ids.containsKey(feature)) {
                                given.put(ids.get(feature), recipe);
                            }
                        });
        return given;
    }

    private static String carried(String key, Map<String, String> ids) {
        if (ids.containsKey(key)) {
            return ids.get(key);
        }
        int dot = key.lastIndexOf('.');
        String id = dot < 0 ? null : ids.get(key.substring(0, dot));
        return id == null ? null : id + key.substring(dot);
    }
}
