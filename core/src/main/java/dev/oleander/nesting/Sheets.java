package dev.oleander.nesting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Changes to what lies on sheets. */
public final class Sheets {

    private Sheets() {}

    /** Without some of the parts; sheets with nothing left on them are gone. */
    public static List<NestedSheet> without(
            List<NestedSheet> sheets, Predicate<NestPlacement> gone) {
        List<NestedSheet> left = new ArrayList<>();
        for (NestedSheet sheet : sheets) {
            List<NestPlacement> on = sheet.placements().stream().filter(gone.negate()).toList();
            if (!on.isEmpty()) {
                left.add(sheet.with(on));
            }
        }
        return joined(left);
    }

    /** The parts that a person has fixed, on their sheets. */
    public static List<NestedSheet> locked(List<NestedSheet> sheets) {
        return without(sheets, p -> !p.locked());
    }

    /** The same with all parts fixed, or none. */
    public static List<NestedSheet> locked(List<NestedSheet> sheets, boolean locked) {
        return changed(sheets, p -> p.locked(locked));
    }

    /** The same with those parts fixed that are fixed on others at the same place. */
    public static List<NestedSheet> lockedAs(List<NestedSheet> sheets, List<NestedSheet> fixed) {
        Set<NestPlacement> places = new HashSet<>();
        fixed.forEach(sheet -> sheet.placements().forEach(p -> places.add(p.locked(true))));
        return changed(sheets, p -> p.locked(places.contains(p.locked(true))));
    }

    /** How many come of each line, by id: as many of each part as heads cut it. */
    public static Map<String, Integer> placed(List<NestedSheet> sheets) {
        Map<String, Integer> placed = new HashMap<>();
        for (NestedSheet sheet : sheets) {
            sheet.placements().forEach(p -> placed.merge(p.line(), sheet.heads(), Integer::sum));
        }
        return placed;
    }

    /** How many sheets they are: those that share one count once. */
    public static int count(List<NestedSheet> sheets) {
        return (int) sheets.stream().filter(sheet -> sheet.part().reachesEnd()).count();
    }

    /** How many sheets there are of what: those that share one count once. */
    public static Map<String, Long> used(List<NestedSheet> sheets) {
        return sheets.stream()
                .filter(sheet -> sheet.part().reachesEnd())
                .collect(Collectors.groupingBy(NestedSheet::stock, Collectors.counting()));
    }

    /**
     * Stretches whose neighbour on the sheet is gone reach as far as they can: every sheet is used
     * up to its edges.
     */
    public static List<NestedSheet> joined(List<NestedSheet> sheets) {
        List<Place> begun = new ArrayList<>();
        List<Place> ended = new ArrayList<>();
        sheets.stream().filter(s -> s.part().from() > 0).map(Place::from).forEach(begun::add);
        sheets.stream().filter(s -> !s.part().reachesEnd()).map(Place::to).forEach(ended::add);
        List<NestedSheet> all = new ArrayList<>();
        List<Place> before = new ArrayList<>(ended);
        for (NestedSheet sheet : sheets) {
            Stretch part = sheet.part();
            boolean alone = part.from() > 0 && !before.remove(Place.from(sheet));
            boolean last = !part.reachesEnd() && !begun.remove(Place.to(sheet));
            Stretch begins = alone ? part.beginning(0) : part;
            all.add(sheet.on(last ? begins.upTo(null) : begins));
        }
        return all;
    }

    /** Where one stretch ends and another begins, mm. */
    private record Place(String stock, double at) {

        static Place from(NestedSheet sheet) {
            return new Place(sheet.stock(), sheet.part().from());
        }

        static Place to(NestedSheet sheet) {
            return new Place(sheet.stock(), sheet.part().to());
        }
    }

    private static List<NestedSheet> changed(
            List<NestedSheet> sheets, UnaryOperator<NestPlacement> change) {
        return sheets.stream()
                .map(s -> s.with(s.placements().stream().map(change).toList()))
                .toList();
    }
}
