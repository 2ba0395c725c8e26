package dev.oleander.web.product;

import dev.oleander.machine.Machine;
import dev.oleander.plan.panel.file.Amount;
import dev.oleander.plan.panel.file.FaceDrawings;
import dev.oleander.plan.panel.file.FaceDrawings.Drawn;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.source.Upload;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A product of drawings, one for each face of each panel.
 *
 * @param name of the product; null: that of its first panel
 * @param panel what the panel is called, where all drawings are of one; null: as the files say
 * @param length and {@code width}: mm; null: by the outlines
 * @param thickness mm; null: by the outline of an edge
 * @param material null: birch plywood or whatever the machine cuts first
 */
public record DrawnProduct(
        String name,
        String panel,
        Double length,
        Double width,
        Double thickness,
        String material,
        Integer quantity,
        String grain) {

    private static final int MOST = 600;

    /** A board where nobody says one, mm. */
    private static final double BOARD_LENGTH = 2500;

    private static final double BOARD_WIDTH = 1250;

    /**
     * @param uploads called panel.face.dxf
     * @throws dev.oleander.plan.panel.PanelException when they are no faces of panels
     * @throws dev.oleander.drawing.DrawingException when one cannot be read
     */
    ProductFile of(List<Upload> uploads, Machine machine, List<String> known) {
        if (uploads.isEmpty() || uploads.size() > MOST) {
            throw new RefusedEditException(
                    "There are %d drawings; a product has 1 to %d."
                            .formatted(uploads.size(), MOST));
        }
        Map<String, List<Drawn>> faces = new LinkedHashMap<>();
        for (Upload upload : uploads) {
            Drawn drawn = FaceDrawings.read(upload.name(), upload.content());
            faces.computeIfAbsent(drawn.panel(), p -> new ArrayList<>()).add(drawn);
        }
        String made = material == null || material.isBlank() ? first(machine, known) : material;
        Amount count = Amount.of(quantity == null ? 1.0 : quantity);
        List<ProductFile.Panel> panels = new ArrayList<>();
        for (List<Drawn> of : faces.values()) {
            panels.add(called(FaceDrawings.panel(of, made, count, sizes()), faces.size()));
        }
        ProductFile.Board board =
                new ProductFile.Board(Amount.of(BOARD_LENGTH), Amount.of(BOARD_WIDTH), "length");
        return new ProductFile(
                name == null || name.isBlank() ? panels.get(0).id() : name.strip(),
                Amount.of(1.0),
                Map.of(),
                List.of(new ProductFile.Material(made, panels.get(0).thickness(), null, board)),
                List.of(),
                panels);
    }

    private static String first(Machine machine, List<String> known) {
        return known.stream()
                .findFirst()
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "%s cuts nothing; say a material."
                                                .formatted(machine.name())));
    }

    private ProductFile.Panel called(ProductFile.Panel made, int panels) {
        if (panel == null || panel.isBlank()) {
            return made;
        }
        if (panels > 1) {
            throw new RefusedEditException(
                    "The drawings are of %d panels; only one can be called %s."
                            .formatted(panels, panel));
        }
        return made.called(panel.strip());
    }

    private ProductFile.Panel sizes() {
        return new ProductFile.Panel(
                null,
                null,
                null,
                null,
                null,
                amount(length),
                amount(width),
                amount(thickness),
                null,
                grain == null || grain.isBlank() ? null : grain,
                null,
                null,
                null,
                null,
                null);
    }

    private static Amount amount(Double millimetres) {
        return millimetres == null ? null : Amount.of(millimetres.doubleValue());
    }
}
