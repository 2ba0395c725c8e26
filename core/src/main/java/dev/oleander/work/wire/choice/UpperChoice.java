package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Optional;

/**
 * Another contour at the upper side.
 *
 * @param feature that is the upper contour; it is not cut itself
 * @param matching which places the wire joins
 * @param lines that a person drew between both contours
 * @param start of the upper contour, mm along the drawn one; null: nearest to the lower start
 */
public record UpperChoice(String feature, Matching matching, List<Link> lines, Typed start) {

    /** Distances along the lower and the upper drawn contour, mm. */
    public record Link(double lower, double upper) {}

    public UpperChoice {
        matching = matching == null ? Matching.CORNERS : matching;
        lines = lines == null ? List.of() : List.copyOf(lines);
    }

    /**
     * See {@link WireChoice#carried}; empty when the upper contour is gone.
     *
     * @param key of the lower contour
     */
    Optional<UpperChoice> carried(String key, Carrying to) {
        return to.key(feature)
                .map(
                        above ->
                                new UpperChoice(
                                        above,
                                        matching,
                                        lines.stream().map(l -> carried(l, key, to)).toList(),
                                        to.along(feature, start)));
    }

    private Link carried(Link line, String key, Carrying to) {
        return new Link(to.along(key, line.lower()), to.along(feature, line.upper()));
    }

    public UpperChoice withMatching(Matching value) {
        return new UpperChoice(feature, value, lines, start);
    }

    public UpperChoice withLines(List<Link> value) {
        return new UpperChoice(feature, matching, value, start);
    }

    public UpperChoice withStart(Typed value) {
        return new UpperChoice(feature, matching, lines, value);
    }
}
