package dev.oleander.web.bench;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Locale;

/**
 * Something wrong, with its place when it has one.
 *
 * @param crossing ids of the two features that cross; else empty
 * @param dividing of lines that divide something
 * @param touching of parts that share edges
 */
public record FaultRow(
        String kind,
        String sentence,
        boolean mended,
        boolean urgent,
        boolean settled,
        String key,
        String x,
        String y,
        String bridge,
        String corner,
        List<String> crossing,
        List<String> dividing,
        List<String> touching,
        int parts) {

    /** mm between parts of a drawing that are moved apart: leads of usual sheets find room. */
    private static final String APART = "10";

    /** Mended, decide, left or note. */
    public String word() {
        if (mended) {
            return "mended";
        }
        return urgent ? "decide" : settled ? "left" : "note";
    }

    static FaultRow of(Fault fault) {
        return new FaultRow(
                fault.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                fault.sentence(),
                fault.mended(),
                fault.needsPerson(),
                fault.state() == Fault.State.SETTLED,
                fault.key(),
                fault.place().map(p -> Numbers.plain(p.x(), 4)).orElse(""),
                fault.place().map(p -> Numbers.plain(p.y(), 4)).orElse(""),
                fault.ends().size() == 2 ? bridge(fault) : "",
                fault.ends().size() == 2 ? corner(fault.ends().get(0)) : "",
                fault.kind() == Fault.Kind.CROSSING ? fault.features() : List.of(),
                fault.kind() == Fault.Kind.DIVISION ? fault.features() : List.of(),
                fault.kind() == Fault.Kind.NO_ROOM ? fault.features() : List.of(),
                (int) fault.size());
    }

    /** Values of the command that splits two lines where they cross; empty when none do. */
    public String divide() {
        return split(crossing);
    }

    /** Values of the command that splits lines which divide something; empty when none do. */
    public String makeParts() {
        return split(dividing);
    }

    /** Values of the command that makes parts with room between them. */
    public String makeApart() {
        List<String> features = dividing.isEmpty() ? touching : dividing;
        return features.isEmpty()
                ? ""
                : "{\"command\":\"apart\",\"on\":\"%s\",\"v.gap\":\"%s\"}"
                        .formatted(String.join(",", features), APART);
    }

    /** What that is called. */
    public String apart() {
        return dividing.isEmpty()
                ? "move them %s mm apart".formatted(APART)
                : "make %d parts of it, %s mm apart".formatted(parts, APART);
    }

    private static String split(List<String> features) {
        return features.isEmpty()
                ? ""
                : "{\"command\":\"divide\",\"on\":\"%s\"}".formatted(String.join(",", features));
    }

    /** Values of the corner that two ends would be brought to. */
    private static String corner(Point near) {
        return "{\"command\":\"meet\",\"nearX\":\"%1$s\",\"nearY\":\"%2$s\",\"v.x\":\"%1$s\",\"v.y\":\"%2$s\"}"
                .formatted(near.x(), near.y());
    }

    /** Values of the line that would close a gap. */
    private static String bridge(Fault gap) {
        Point a = gap.ends().get(0);
        Point b = gap.ends().get(1);
        return "{\"command\":\"line\",\"v.x1\":\"%s\",\"v.y1\":\"%s\",\"v.x2\":\"%s\",\"v.y2\":\"%s\"}"
                .formatted(a.x(), a.y(), b.x(), b.y());
    }
}
