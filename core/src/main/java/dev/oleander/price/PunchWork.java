package dev.oleander.price;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.Map;
import java.util.TreeMap;

/**
 * The hits that punch one copy of a drawing, by tool: a round, square or slot tool where one fits
 * the opening; else a shear along straight edges and a nibbler along curves.
 */
final class PunchWork {

    /** mm; a tool fits when its size is this near. */
    private static final double FITS = 0.05;

    /** mm that two hits of the shear overlap, so that no burr stays between them. */
    private static final double OVERLAP = 1;

    private final PunchPress press;
    private final Map<String, Integer> hits = new TreeMap<>();
    private double travelSeconds;

    PunchWork(PunchPress press, Reading reading) {
        this.press = press;
        for (Feature feature : reading.features()) {
            if (feature.purpose() == Purpose.CUT && feature.isClosed()) {
                add(feature);
            }
        }
    }

    /** Hits by tool, for one copy. */
    Map<String, Integer> hits() {
        return hits;
    }

    int total() {
        return hits.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** Seconds the sheet moves between the hits of one feature, for one copy. */
    double travelSeconds() {
        return travelSeconds;
    }

    private void add(Feature feature) {
        String single = feature.kind() == Feature.Kind.OPENING ? singleTool(feature) : "";
        if (!single.isEmpty()) {
            count(single, 1, 0);
            return;
        }
        for (Segment segment : feature.chain().segments()) {
            along(segment, feature.kind() == Feature.Kind.OPENING);
        }
    }

    /** Name of the tool that punches an opening at one hit; empty when there is none. */
    private String singleTool(Feature feature) {
        if (feature.circleDiameter().isPresent()) {
            double d = feature.circleDiameter().getAsDouble();
            return press.round().stream().anyMatch(r -> Math.abs(r - d) < FITS)
                    ? "round " + number(d)
                    : "";
        }
        Box box = feature.chain().box();
        double longer = Math.max(box.width(), box.height());
        double shorter = Math.min(box.width(), box.height());
        boolean filled = feature.contour().area() > longer * shorter - FITS;
        if (filled && longer - shorter < FITS) {
            return press.square().stream().anyMatch(s -> Math.abs(s - longer) < FITS)
                    ? "square " + number(longer)
                    : "";
        }
        double ofSlot = longer * shorter - (1 - Math.PI / 4) * shorter * shorter;
        boolean slot = Math.abs(feature.contour().area() - ofSlot) < FITS * longer;
        boolean there =
                press.slots().stream()
                        .anyMatch(
                                s ->
                                        Math.abs(s.length() - longer) < FITS
                                                && Math.abs(s.width() - shorter) < FITS);
        return slot && there ? "slot %s x %s".formatted(number(longer), number(shorter)) : "";
    }

    private static String number(double value) {
        return Numbers.plain(value, 1);
    }

    private void along(Segment segment, boolean inside) {
        if (segment instanceof Arc arc) {
            nibble(arc, inside);
            return;
        }
        double step = press.shear().length() - OVERLAP;
        int count = (int) Math.max(1, Math.ceil((segment.length() - OVERLAP) / step));
        count("shear", count, segment.length() / count);
    }

    /**
     * A scallop of height h stays between hits of a tool with radius t along an edge of radius r
     * when they are p = sqrt(8 h e) apart along the edge, e being t r / (r + t) outside a part and
     * t r / (r - t) inside an opening: both circles as parabolas, to first order.
     */
    private void nibble(Arc arc, boolean inside) {
        double tool = press.nibbler() / 2;
        double r = arc.radius();
        // in a corner narrower than the tool it hits once
        double even = inside ? tool * r / Math.max(r - tool, 1e-3) : tool * r / (r + tool);
        double pitch = inside && r <= tool ? arc.length() : Math.sqrt(8 * press.scallop() * even);
        int count = (int) Math.max(1, Math.ceil(arc.length() / Math.max(pitch, 1e-3)));
        count("round " + number(press.nibbler()) + ", nibbling", count, arc.length() / count);
    }

    /**
     * @param apart mm between the hits
     */
    private void count(String tool, int count, double apart) {
        hits.merge(tool, count, Integer::sum);
        travelSeconds += (count - 1) * seconds(press, apart);
    }

    /** From rest to rest. */
    static double seconds(PunchPress press, double way) {
        double full = press.speed() * press.speed() / press.acceleration();
        return way < full
                ? 2 * Math.sqrt(way / press.acceleration())
                : way / press.speed() + press.speed() / press.acceleration();
    }
}
