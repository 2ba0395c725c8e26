package dev.oleander.plan.panel.file;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A product as it stands in a file. What is left out is null, or nothing where there are several.
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record ProductFile(
        String name,
        Amount quantity,
        Map<String, Amount> parameters,
        List<Material> materials,
        List<Band> bands,
        List<Panel> panels) {

    public ProductFile {
        parameters = Objects.requireNonNullElse(parameters, Map.of());
        materials = listed(materials);
        bands = listed(bands);
        panels = listed(panels);
    }

    /**
     * @param density kg/m3
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Material(String id, Amount thickness, Amount density, Board board) {}

    /** A board as it is bought. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Board(Amount length, Amount width, String grain) {}

    /** A band for edges. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Band(String id, Amount thickness) {}

    /**
     * @param outline corners (x, y, bulge to the next)
     * @param band id of the band of each edge
     * @param machined before or after banding
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Panel(
            String id,
            String name,
            String role,
            Amount quantity,
            String material,
            Amount length,
            Amount width,
            Amount thickness,
            List<List<Amount>> outline,
            String grain,
            List<String> show,
            Map<String, String> band,
            String machined,
            Placed placed,
            List<Feature> features) {

        public Panel {
            outline = listed(outline);
            show = listed(show);
            band = Objects.requireNonNullElse(band, Map.of());
            features = listed(features);
        }

        /** The same under another name. */
        public Panel called(String other) {
            return new Panel(
                    other, other, role, quantity, material, length, width, thickness, outline,
                    grain, show, band, machined, placed, features);
        }
    }

    /** Where a panel lies in the product. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Placed(List<Amount> origin, List<Amount> x, List<Amount> y) {}

    /**
     * @param at middle of a hole (u, v)
     * @param outline corners (u, v, bulge to the next)
     * @param depth mm below the face, or "through"
     * @param closed false: the outline is a line that is followed; null: it depends on the kind
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Feature(
            String id,
            String face,
            String kind,
            List<Amount> at,
            List<List<Amount>> outline,
            Amount diameter,
            Amount depth,
            List<Step> steps,
            Amount width,
            String tag,
            Amount tolerance,
            Boolean closed) {

        public Feature {
            outline = listed(outline);
            steps = listed(steps);
        }
    }

    /** A wider part of a hole. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Step(Amount diameter, Amount depth) {}

    private static <T> List<T> listed(List<T> given) {
        return Objects.requireNonNullElse(given, List.of());
    }
}
