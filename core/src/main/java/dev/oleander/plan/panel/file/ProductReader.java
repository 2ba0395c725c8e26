package dev.oleander.plan.panel.file;

import dev.oleander.plan.panel.Grain;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.plan.panel.Product;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Reads products. What is wrong is a sentence with panel, feature, value and limit. */
public final class ProductReader {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();

    private static final int MOST_PANELS = 2_000;
    private static final int MOST = 100_000;

    private ProductReader() {}

    /**
     * What stands in a text.
     *
     * @throws PanelException when it is not JSON of a product
     */
    public static ProductFile parse(String json) {
        try {
            ProductFile file = JSON.readValue(json, ProductFile.class);
            if (file == null) {
                throw new PanelException("There is no product in it.");
            }
            return file;
        } catch (JacksonException wrong) {
            throw new PanelException(
                    "This is no product: %s".formatted(firstLine(wrong.getOriginalMessage())));
        }
    }

    private static String firstLine(String message) {
        String line = message.lines().findFirst().orElse("it is not understood");
        return line.endsWith(".") ? line : line + ".";
    }

    /** The text of a file, as {@link #parse} reads it. */
    public static String write(ProductFile file) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    /**
     * Works out what stands in a file.
     *
     * @throws PanelException naming what is wrong first
     */
    public static Product read(ProductFile file) {
        if (file.name() == null || file.name().isBlank()) {
            throw new PanelException("The product has no name.");
        }
        Map<String, Double> names = Parameters.of(file.parameters());
        Map<String, Product.Material> materials = materials(file, names);
        Map<String, Double> bands = bands(file, names);
        PanelReader reader = new PanelReader(names, materials, bands);
        return new Product(
                file.name().strip(),
                whole(file.quantity(), names, "The quantity of the product"),
                names,
                materials,
                bands,
                panels(file, reader));
    }

    private static List<Panel> panels(ProductFile file, PanelReader reader) {
        if (file.panels().isEmpty() || file.panels().size() > MOST_PANELS) {
            throw new PanelException(
                    "The product has %d panels; it needs 1 to %d."
                            .formatted(file.panels().size(), MOST_PANELS));
        }
        List<Panel> panels = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (ProductFile.Panel panel : file.panels()) {
            Panel read = reader.read(panel);
            if (!ids.add(read.id())) {
                throw new PanelException("Two panels are called %s.".formatted(read.id()));
            }
            panels.add(read);
        }
        return panels;
    }

    private static Map<String, Product.Material> materials(
            ProductFile file, Map<String, Double> names) {
        Map<String, Product.Material> materials = new TreeMap<>();
        for (ProductFile.Material material : file.materials()) {
            String what = "Material " + named(material.id(), "A material");
            double thickness = above(material.thickness(), names, what + ", thickness");
            double density =
                    material.density() == null
                            ? 0
                            : above(material.density(), names, what + ", density");
            Product.Board board = board(material.board(), names, what);
            if (materials.put(
                            material.id(),
                            new Product.Material(material.id(), thickness, density, board))
                    != null) {
                throw new PanelException("Two materials are called %s.".formatted(material.id()));
            }
        }
        return materials;
    }

    private static Product.Board board(
            ProductFile.Board board, Map<String, Double> names, String what) {
        if (board == null) {
            throw new PanelException(what + " has no board: length, width and grain.");
        }
        return new Product.Board(
                above(board.length(), names, what + ", length of the board"),
                above(board.width(), names, what + ", width of the board"),
                word(Grain.class, board.grain(), "none", what + ", grain"));
    }

    private static Map<String, Double> bands(ProductFile file, Map<String, Double> names) {
        Map<String, Double> bands = new TreeMap<>();
        for (ProductFile.Band band : file.bands()) {
            String id = named(band.id(), "A band");
            double thickness = above(band.thickness(), names, "Band " + id + ", thickness");
            if (bands.put(id, thickness) != null) {
                throw new PanelException("Two bands are called %s.".formatted(id));
            }
        }
        return bands;
    }

    static String named(String id, String what) {
        if (id == null || !id.matches("[\\p{L}\\p{N}][\\p{L}\\p{N}._ -]{0,59}")) {
            throw new PanelException(
                    "%s is called \"%s\"; a name has 1 to 60 letters, digits, . _ - and spaces."
                            .formatted(what, id == null ? "" : id));
        }
        return id;
    }

    static double above(Amount amount, Map<String, Double> names, String what) {
        if (amount == null) {
            throw new PanelException(what + " is missing.");
        }
        double value = amount.in(names, what);
        if (!(value > 0 && value <= MOST)) {
            throw new PanelException(
                    "%s is %s; it must be more than 0 and at most %s."
                            .formatted(what, Numbers.plain(value, 3), Numbers.plain(MOST, 0)));
        }
        return value;
    }

    static int whole(Amount amount, Map<String, Double> names, String what) {
        double value = above(amount, names, what);
        if (value != Math.rint(value)) {
            throw new PanelException(
                    "%s is %s; it must be a whole number."
                            .formatted(what, Numbers.plain(value, 3)));
        }
        return (int) value;
    }

    static <E extends Enum<E> & Worded> E word(
            Class<E> type, String word, String usual, String what) {
        String given = word == null ? usual : word;
        return Worded.of(type, given)
                .orElseThrow(
                        () ->
                                new PanelException(
                                        "%s is \"%s\"; it is one of %s."
                                                .formatted(what, given, words(type))));
    }

    private static <E extends Enum<E> & Worded> String words(Class<E> type) {
        List<String> words = new ArrayList<>();
        for (E constant : type.getEnumConstants()) {
            words.add(constant.word());
        }
        return String.join(", ", words);
    }
}
