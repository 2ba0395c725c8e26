package dev.oleander.nesting;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

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
                left.add(new NestedSheet(sheet.stock(), on));
            }
        }
        return left;
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

    private static List<NestedSheet> changed(
            List<NestedSheet> sheets, UnaryOperator<NestPlacement> change) {
        return sheets.stream()
                .map(s -> new NestedSheet(s.stock(), s.placements().stream().map(change).toList()))
                .toList();
    }
}
