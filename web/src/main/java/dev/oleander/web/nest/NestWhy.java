package dev.oleander.web.nest;

import dev.oleander.nesting.NestCosts;
import dev.oleander.nesting.NestPlace;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Why a part lies where it does, in words. */
public final class NestWhy {

    /** mm by which what is touched may be farther away than it must be. */
    private static final double TOUCHES = 0.05;

    private NestWhy() {}

    /**
     * What speaks for a place.
     *
     * @param material what the part bears of its sheet, money
     */
    public record Reasons(NestPlace place, double material) {}

    /**
     * @param sheet its number, from 1
     * @param part its place on the sheet, from 1
     * @throws dev.oleander.web.job.document.NotFoundException when there is no such part
     */
    public static Reasons reasons(JobResult result, int sheet, int part) {
        NestTask task = Nests.task(result);
        NestedSheet on = OnSheets.sheet(NestEdits.require(result).choices().laid(), sheet);
        NestPlacement own = OnSheets.part(on, part, sheet);
        return new Reasons(NestPlace.of(task, on, part - 1), share(task, on, own.line()));
    }

    /**
     * By label: where it lies, what is next to it, how far the front reaches because of it, what it
     * bears of the material.
     *
     * @param sheet its number, from 1
     * @param part its place on the sheet, from 1
     * @throws dev.oleander.web.job.document.NotFoundException when there is no such part
     */
    public static Map<String, String> of(JobResult result, int sheet, int part) {
        Reasons reasons = reasons(result, sheet, part);
        NestPlace place = reasons.place();
        Map<String, String> said = new LinkedHashMap<>();
        said.put(
                "Lies at",
                "%s, %s"
                        .formatted(
                                Numbers.plain(place.box().min().x(), 1),
                                Numbers.plain(place.box().min().y(), 1)));
        said.put("Next to it", nearest(result, place));
        said.put("Front", front(place));
        said.put("Material", Numbers.fixed(reasons.material(), 2));
        return said;
    }

    /**
     * What a part lies next to at just its distance, as "at A and edge"; empty when nothing is.
     *
     * @param part its place in the list of the sheet, from 0
     */
    static String touched(JobResult result, NestTask task, NestedSheet on, int part) {
        NestChoices choices = NestEdits.require(result).choices();
        double own = task.gap(task.line(on.placements().get(part).line()));
        List<String> names = new ArrayList<>();
        for (NestPlace.Neighbour n : NestPlace.of(task, on, part).nearest()) {
            double needed =
                    n.line().isEmpty()
                            ? task.rules().margin()
                            : (own + task.gap(task.line(n.line()))) / 2;
            if (n.distance() < needed + TOUCHES) {
                names.add(name(choices, n.line()));
            }
        }
        return names.isEmpty() ? "" : "at " + String.join(" and ", names);
    }

    private static String nearest(JobResult result, NestPlace place) {
        NestChoices choices = NestEdits.require(result).choices();
        return place.nearest().stream()
                .map(n -> "%s %s".formatted(name(choices, n.line()), mm(n.distance())))
                .collect(Collectors.joining(", "));
    }

    /** The letter of a part's job, as it stands on the part; the own job has none. */
    private static String name(NestChoices choices, String line) {
        if (line.isEmpty()) {
            return "edge";
        }
        String letter = choices.line(line).orElseThrow().source();
        return letter.isEmpty() ? "part" : letter;
    }

    private static String mm(double distance) {
        return Numbers.plain(distance, 1) + " mm";
    }

    private static String front(NestPlace place) {
        String front = Numbers.plain(place.front(), 0) + " mm";
        return place.front() - place.without() < 0.5
                ? front + ", also without it"
                : "%s, %s mm without it".formatted(front, Numbers.plain(place.without(), 0));
    }

    /** What each part of a line bears of its sheet. */
    private static double share(NestTask task, NestedSheet sheet, String line) {
        long there = sheet.placements().stream().filter(p -> p.line().equals(line)).count();
        return NestCosts.byLine(task, List.of(sheet)).getOrDefault(line, 0.0) / there;
    }
}
