package dev.oleander.web.bench;

import dev.oleander.geometry.enclose.SmallestWidth;
import dev.oleander.material.FreePiece;
import dev.oleander.material.Rest;
import dev.oleander.price.PriceList;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.util.StringUtils;

/** What the cuts set free, in figures: of the selected stops, or of the whole run. */
final class PieceFigures {

    private final List<FreePiece> pieces;
    private final double thickness;
    private final double density;

    /**
     * @param density of the material, kg/m3; 0 when it is not known
     */
    private PieceFigures(List<FreePiece> pieces, double thickness, double density) {
        this.pieces = pieces;
        this.thickness = thickness;
        this.density = density;
    }

    /**
     * @param stops ids of the selected stops; none: all
     */
    static List<ShapeSlip.Figure> of(JobResult result, Set<String> stops, PriceList prices) {
        double density =
                prices.find(result.document().material())
                        .map(PriceList.Material::density)
                        .orElse(0.0);
        List<FreePiece> pieces =
                result.material().pieces().stream()
                        .filter(p -> stops.isEmpty() || stops.contains(p.stop().id()))
                        .toList();
        double thickness = result.document().thickness().value();
        PieceFigures figures = new PieceFigures(pieces, thickness, density);
        return pieces.size() == 1 ? figures.one(pieces.get(0)) : figures.all();
    }

    private List<ShapeSlip.Figure> one(FreePiece piece) {
        List<ShapeSlip.Figure> figures = new ArrayList<>();
        add(figures, "Piece", piece.kept() ? "part" : "waste");
        add(figures, "Mass", mass(List.of(piece)));
        add(figures, "Smallest width", Numbers.length(SmallestWidth.of(piece.region().outer())));
        add(figures, "Once closed", piece.rest().state());
        add(figures, "Closed at", Numbers.duration(piece.moment()));
        return figures;
    }

    private List<ShapeSlip.Figure> all() {
        List<ShapeSlip.Figure> figures = new ArrayList<>();
        List<FreePiece> parts = pieces.stream().filter(FreePiece::kept).toList();
        List<FreePiece> waste = pieces.stream().filter(p -> !p.kept()).toList();
        add(figures, "Parts", count(parts));
        add(figures, "Waste", count(waste));
        for (Rest rest : Rest.values()) {
            long such = pieces.stream().filter(p -> p.rest() == rest).count();
            add(figures, StringUtils.capitalize(rest.state()), such == 0 ? "" : such + " pieces");
        }
        return figures;
    }

    private static void add(List<ShapeSlip.Figure> figures, String label, String value) {
        if (!value.isEmpty()) {
            figures.add(new ShapeSlip.Figure(label, value));
        }
    }

    private String count(List<FreePiece> of) {
        String mass = mass(of);
        if (of.isEmpty()) {
            return "";
        }
        return mass.isEmpty() ? String.valueOf(of.size()) : "%d, %s".formatted(of.size(), mass);
    }

    /** In kg, of little things in g; empty when the density is not known. */
    private String mass(List<FreePiece> of) {
        double kilograms = of.stream().mapToDouble(p -> p.mass(thickness, density)).sum();
        if (density == 0) {
            return "";
        }
        return kilograms < 0.1
                ? Numbers.plain(1000 * kilograms, 2) + " g"
                : Numbers.plain(kilograms, 2) + " kg";
    }
}
