package dev.oleander.proof;

import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Findings that say the same of several copies become one with their count. Stops without data are
 * one finding whatever they are: the sentence speaks of the book, not of them.
 */
final class EqualFindings {

    /** Stops that are named before the others are only counted. */
    private static final int NAMED = 6;

    private final Map<String, Stop> stops;

    EqualFindings(Map<String, Stop> stops) {
        this.stops = stops;
    }

    /** In the order of the first of each. */
    List<Finding> folded(List<Finding> findings) {
        Map<String, List<Finding>> equal = new LinkedHashMap<>();
        for (Finding finding : findings) {
            equal.computeIfAbsent(sameness(finding), k -> new ArrayList<>()).add(finding);
        }
        return equal.values().stream().map(this::one).toList();
    }

    private String sameness(Finding finding) {
        Stop stop = stops.get(finding.stop());
        if (stop == null) {
            return finding.severity() + "|" + place(finding) + "|" + finding.sentence();
        }
        String text = finding.sentence();
        for (String word : List.of("Stop", "stop")) {
            text = text.replace("%s %d (%s)".formatted(word, stop.number(), stop.name()), "@");
        }
        text =
                text.replaceAll("(, copy) \\d+", "$1 @")
                        .replaceAll("(?<=[XY] |[(] ?)-?[0-9.]+", "@");
        return String.join(
                "|",
                finding.severity().name(),
                speaksOfTheBook(stop) ? "" : stop.feature(),
                Numbers.plain(finding.value(), 2),
                Numbers.plain(finding.limit(), 2),
                text);
    }

    private static String place(Finding finding) {
        return finding.place().map(Object::toString).orElse("");
    }

    private static boolean speaksOfTheBook(Stop stop) {
        Optional<Refusal> refusal = stop.refusal();
        return refusal.filter(r -> r.kind() == Refusal.Kind.NO_DATA).isPresent();
    }

    private Finding one(List<Finding> equal) {
        Finding first = equal.get(0);
        List<String> ids = equal.stream().map(Finding::stop).distinct().toList();
        if (ids.size() == 1) {
            // of one stop, or of none: told once, with nobody else to name
            return first;
        }
        List<Integer> others =
                ids.stream().skip(1).map(id -> stops.get(id).number()).sorted().toList();
        String named =
                String.join(
                        ", ", others.stream().limit(NAMED).map(n -> Integer.toString(n)).toList());
        String more = others.size() > NAMED ? " and others" : "";
        String what = others.size() == 1 ? "stop" : "stops";
        return first.alike(
                ids,
                "%s The same at %d more %s: %s%s."
                        .formatted(first.sentence(), others.size(), what, named, more));
    }
}
