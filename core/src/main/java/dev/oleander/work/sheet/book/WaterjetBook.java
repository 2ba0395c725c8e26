package dev.oleander.work.sheet.book;

import dev.oleander.book.BookForm;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cutting data of a waterjet, computed for every thickness between its limits. */
public record WaterjetBook(String machine, Waterjet waterjet) implements CutBook {

    /** Thicknesses, mm, that are shown of all that can be computed. */
    private static final double[] SHOWN = {
        1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 120
    };

    /** Names of the qualities 1 to 5 of the equation. */
    private static final List<String> QUALITIES =
            List.of("parting", "rough", "standard", "good", "fine");

    private static final double BAR_PER_MPA = 10;

    /** Share of the feed that only just parts, at which a standing jet goes down. */
    private static final double PIERCING = 0.25;

    /** mm/min; a jet of low pressure that only marks is not slowed by the material. */
    private static final double MARK_FEED = 3000;

    /**
     * What a waterjet works with.
     *
     * @param kerf width of the cut, mm; that of the mixing tube and a little more
     * @param thinnest mm
     * @param hourlyCost money per hour of cutting: abrasive, water, energy, wear
     */
    public record Waterjet(
            double pressure,
            double orifice,
            double mixingTube,
            double abrasiveFlow,
            double abrasiveFactor,
            double kerf,
            double thinnest,
            double hourlyCost,
            List<Material> materials) {

        public Waterjet {
            materials = List.copyOf(materials);
        }

        public WaterjetEquation equation() {
            return new WaterjetEquation(
                    pressure, orifice, mixingTube, abrasiveFlow, abrasiveFactor);
        }
    }

    /**
     * A material.
     *
     * @param machinability N of the equation
     * @param thickest mm
     */
    public record Material(String name, double machinability, double thickest) {}

    /**
     * A machinability that a test cut showed.
     *
     * @param thickness that was cut, mm
     * @param feed at which the quality was just reached, mm/min
     */
    public record Calibration(
            double machinability, double thickness, String quality, double feed) {}

    @Override
    public BookForm<CutRow> form() {
        return CutFields.of("waterjet");
    }

    /** Another machinability of a material is all that is changed. */
    @Override
    public WaterjetBook changed(String material, Optional<JsonNode> after) {
        return after.map(found -> JsonMapper.shared().treeToValue(found, Calibration.class))
                .map(found -> with(material, found.machinability()))
                .orElse(this);
    }

    /** The book with another machinability of a material. */
    public WaterjetBook with(String material, double machinability) {
        List<Material> changed =
                waterjet.materials().stream()
                        .map(
                                m ->
                                        m.name().equals(material)
                                                ? new Material(
                                                        material, machinability, m.thickest())
                                                : m)
                        .toList();
        Waterjet w = waterjet;
        return new WaterjetBook(
                machine,
                new Waterjet(
                        w.pressure(),
                        w.orifice(),
                        w.mixingTube(),
                        w.abrasiveFlow(),
                        w.abrasiveFactor(),
                        w.kerf(),
                        w.thinnest(),
                        w.hourlyCost(),
                        changed));
    }

    /**
     * The machinability that a test cut of this machine shows.
     *
     * @param feed at which the quality was just reached, mm/min
     * @throws CutDataException when a value is not usable
     */
    public double calibrated(String material, double thickness, String quality, double feed) {
        find(material, thickness, quality);
        double level = QUALITIES.indexOf(quality) + 1.0;
        return waterjet.equation().machinability(feed, thickness, level);
    }

    @Override
    public List<String> materials() {
        return waterjet.materials().stream().map(Material::name).toList();
    }

    @Override
    public List<String> qualities(String material, double thickness) {
        return waterjet.materials().stream().anyMatch(m -> reaches(m, material, thickness))
                ? QUALITIES
                : List.of();
    }

    private boolean reaches(Material m, String material, double thickness) {
        return m.name().equals(material)
                && thickness >= waterjet.thinnest()
                && thickness <= m.thickest();
    }

    @Override
    public CutRow find(String material, double thickness, String quality) {
        CutBook.requireThickness(thickness);
        Material known = material(material);
        if (!QUALITIES.contains(quality)) {
            throw new CutDataException(
                    "%s has no quality \"%s\"; it has %s."
                            .formatted(machine, quality, String.join(", ", QUALITIES)));
        }
        if (!reaches(known, material, thickness)) {
            throw new CutDataException(
                    "%s cuts %s from %s to %s mm; the job is %s mm thick."
                            .formatted(
                                    machine,
                                    material,
                                    Numbers.plain(waterjet.thinnest(), 2),
                                    Numbers.plain(known.thickest(), 2),
                                    Numbers.plain(thickness, 2)));
        }
        return row(known, thickness, quality);
    }

    /**
     * @throws CutDataException when it is not known
     */
    public Material material(String name) {
        return waterjet.materials().stream()
                .filter(m -> m.name().equals(name))
                .findFirst()
                .orElseThrow(() -> unknownMaterial(name));
    }

    private CutDataException unknownMaterial(String material) {
        return new CutDataException(
                "The cut book of %s has no data for \"%s\"; it has %s."
                        .formatted(
                                machine,
                                material,
                                materials().stream().collect(Collectors.joining(", "))));
    }

    private CutRow row(Material material, double thickness, String quality) {
        WaterjetEquation equation = waterjet.equation();
        double feed =
                equation.feed(
                        material.machinability(), thickness, QUALITIES.indexOf(quality) + 1.0);
        double parting = equation.feed(material.machinability(), thickness, 1);
        return new CutRow(
                "%s-%s-%s"
                        .formatted(
                                material.name().replace(' ', '-'),
                                Numbers.plain(thickness, 3),
                                quality),
                material.name(),
                thickness,
                quality,
                false,
                waterjet.kerf(),
                rounded(feed),
                MARK_FEED,
                rounded(60 * thickness / (PIERCING * parting)),
                3,
                2,
                2 * waterjet.kerf(),
                2 + 0.15 * thickness,
                waterjet.kerf() / 2 + 0.5,
                0.8,
                waterjet.abrasiveFlow(),
                "garnet",
                waterjet.pressure() * BAR_PER_MPA,
                new CutRow.Corner(45, 0.5, rounded(0.2 * thickness)),
                new CutRow.Cost(waterjet.hourlyCost(), 0));
    }

    /** To a tenth: the equation is not better, and programs write no more. */
    private static double rounded(double value) {
        return Math.max(0.1, Math.round(10 * value) / 10.0);
    }

    @Override
    public List<CutRow> rows() {
        List<CutRow> rows = new ArrayList<>();
        for (Material material : waterjet.materials()) {
            for (double thickness : SHOWN) {
                for (String quality : qualities(material.name(), thickness)) {
                    rows.add(row(material, thickness, quality));
                }
            }
        }
        return rows;
    }
}
