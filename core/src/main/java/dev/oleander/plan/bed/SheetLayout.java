package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Stock and the copies on it. Coordinates are those of the machine: the zero point is the origin.
 *
 * @param stock box round the stock
 * @param outline of stock that is no rectangle, with its holes and bad places
 * @param asked copies wanted on this sheet
 * @param gap used between neighbours, mm
 * @param margin used at the edge, mm
 * @param keepOut what the head must not hit
 */
public record SheetLayout(
        Box stock,
        Optional<Region> outline,
        List<Placement> placements,
        int asked,
        int rows,
        int columns,
        double gap,
        double margin,
        List<KeepOut> keepOut) {

    /** What is said where no copy was placed. */
    public static final String NOTHING_FITS =
            "No copy fits on the stock. Take a larger stock, a smaller margin, or turn the part.";

    public SheetLayout {
        keepOut = keepOut == null ? List.of() : List.copyOf(keepOut);
        placements = List.copyOf(placements);
    }

    /** On a rectangle. */
    public SheetLayout(
            Box stock,
            List<Placement> placements,
            int asked,
            int rows,
            int columns,
            double gap,
            double margin,
            List<KeepOut> keepOut) {
        this(stock, Optional.empty(), placements, asked, rows, columns, gap, margin, keepOut);
    }

    /** Material there is, mm2. */
    public double stockArea() {
        return outline.map(Region::area).orElseGet(() -> stock.width() * stock.height());
    }

    public int placed() {
        return placements.size();
    }

    /** Where every copy lies, by its number. */
    public Map<Integer, Transform> transforms() {
        return placements.stream().collect(Collectors.toMap(Placement::copy, Placement::transform));
    }

    /** The first place where a part lies. */
    public Optional<Placement> first(Part part) {
        return placements.stream().filter(p -> p.of().holds(part)).findFirst();
    }

    /** Material of the parts that lie on it, mm2. */
    public double keptArea(Reading reading) {
        Map<PartRef, Double> areas = new HashMap<>();
        return placements.stream()
                .mapToDouble(
                        p ->
                                areas.computeIfAbsent(
                                        p.of(),
                                        of ->
                                                of.parts(reading).stream()
                                                        .mapToDouble(part -> part.region().area())
                                                        .sum()))
                .sum();
    }
}
