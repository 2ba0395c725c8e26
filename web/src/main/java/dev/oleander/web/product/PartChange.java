package dev.oleander.web.product;

import dev.oleander.quantity.Numbers;
import dev.oleander.web.product.ProductReleases.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What changed of a clamping between two releases of a product.
 *
 * @param word new, gone, changed, unchanged, or only its revision
 * @param sentences what differs; none where nothing does
 * @param before null: it was not there
 * @param after null: it is there no more
 */
public record PartChange(
        String panel, int clamping, String word, List<String> sentences, Part before, Part after) {

    static final Comparator<PartChange> ORDER =
            Comparator.comparing(PartChange::panel).thenComparing(PartChange::clamping);

    /** s below which times are one. */
    private static final double SAME = 0.05;

    public PartChange {
        sentences = List.copyOf(sentences);
    }

    /** Whether both are releases of one job, whose programs can be held against each other. */
    public boolean isOfOneJob() {
        return before != null
                && after != null
                && before.job() == after.job()
                && !before.revision().equals(after.revision());
    }

    static PartChange of(Part before, Part after) {
        Part any = before == null ? after : before;
        if (before == null || after == null) {
            String word = before == null ? "new" : "gone";
            return new PartChange(any.panel(), any.clamping(), word, List.of(), before, after);
        }
        List<String> sentences = sentences(before, after);
        boolean same = before.job() == after.job() && before.revision().equals(after.revision());
        String word =
                same
                        ? "unchanged"
                        : sentences.isEmpty() && before.madeOf().equals(after.madeOf())
                                ? "another revision"
                                : "changed";
        return new PartChange(any.panel(), any.clamping(), word, sentences, before, after);
    }

    private static List<String> sentences(Part before, Part after) {
        List<String> sentences = new ArrayList<>();
        if (!before.lies().equals(after.lies())) {
            sentences.add("%s instead of %s".formatted(after.lies(), before.lies()));
        }
        listed(features(after), features(before), "more", sentences);
        listed(features(before), features(after), "less", sentences);
        boolean timed = before.seconds() != null && after.seconds() != null;
        if (timed && Math.abs(before.seconds() - after.seconds()) > SAME) {
            sentences.add(
                    "%s instead of %s"
                            .formatted(
                                    Numbers.duration(after.seconds()),
                                    Numbers.duration(before.seconds())));
        }
        return sentences;
    }

    private static void listed(
            Set<String> some, Set<String> others, String word, List<String> into) {
        List<String> only = some.stream().filter(f -> !others.contains(f)).toList();
        if (!only.isEmpty()) {
            into.add("%s: %s".formatted(word, String.join(", ", only)));
        }
    }

    private static Set<String> features(Part part) {
        return part.features().isEmpty()
                ? Set.of()
                : new LinkedHashSet<>(Arrays.asList(part.features().split(", ")));
    }
}
