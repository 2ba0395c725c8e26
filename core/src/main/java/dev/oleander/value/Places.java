package dev.oleander.value;

import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/** Places along a contour that people put by hand, mm: all of them, one more, one less. */
public final class Places {

    /** Nobody puts more by hand. */
    public static final int MOST = 200;

    private Places() {}

    /** Whether somebody says that there is none at all; nothing typed says nothing. */
    public static boolean isNone(Entry entry) {
        return entry.text().equals("none");
    }

    /** As they are typed. */
    public static String text(List<Typed> at) {
        return at.stream().map(Typed::text).collect(Collectors.joining(" "));
    }

    /**
     * @param what begins sentences about them: A tab's place
     * @throws ValueException when there are too many, or one is none
     */
    public static List<Typed> oneMore(List<Typed> at, Entry entry, String what) {
        List<Typed> all = new ArrayList<>(entry.isEmpty() ? List.of() : at);
        all.addAll(entry.places(what));
        if (all.size() > MOST) {
            throw new ValueException("%s: more than %d were given.".formatted(what, MOST));
        }
        return all;
    }

    /** Takes away the one that lies nearest to each place. */
    public static List<Typed> oneLess(List<Typed> at, Entry entry, String what) {
        List<Typed> all = new ArrayList<>(at);
        for (Typed place : entry.places(what)) {
            all.stream()
                    .min(Comparator.comparingDouble(t -> Math.abs(t.value() - place.value())))
                    .ifPresent(all::remove);
        }
        return all;
    }
}
