package dev.oleander.bench;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.plan.panel.whole.Twins;
import dev.oleander.progress.Progress;
import dev.oleander.work.PanelJob;
import dev.oleander.work.Task;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.choice.RouterChoices;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A product of 60 panels with 2,000 features: decided, planned, proved and written. */
final class PanelsArea implements Area {

    private static final int PANELS = 60;
    private static final int RUNS = 5;

    /** s */
    private static final double DECIDED = 0.3;

    private static final double MADE = 20;

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();
    private static final Machine HAZEL = MACHINES.find("hazel").orElseThrow();
    private static final RouterBook BOOK = (RouterBook) MACHINES.book(HAZEL);

    /** Values of the header of a program. */
    private static final Map<String, String> FRAME =
            Map.of(
                    "number", "0001",
                    "job", "Saloon",
                    "revision", "A",
                    "date", "2026-01-02",
                    "quantity", "1",
                    "material", "birch plywood",
                    "thickness", "18",
                    "stockWidth", "600",
                    "stockHeight", "400",
                    "heads", "1 head");

    @Override
    public String name() {
        return "panels";
    }

    @Override
    public List<Row> measure() {
        Product product = product();
        int features = product.panels().stream().mapToInt(p -> p.features().size()).sum();
        String what = "%d panels, %d features: ".formatted(PANELS, features);
        List<Row> rows = new ArrayList<>();
        rows.add(
                Row.below(
                        what + "decided, with which are alike",
                        Timing.median(RUNS, () -> decided(product)),
                        "s",
                        DECIDED,
                        null));
        int[] programs = new int[1];
        double made = Timing.median(1, () -> programs[0] = made(product));
        rows.add(
                Row.below(
                        what + "%d programs planned, proved, written".formatted(programs[0]),
                        made,
                        "s",
                        MADE,
                        null));
        return rows;
    }

    // ---- the product

    private static Product product() {
        List<String> panels = new ArrayList<>();
        for (int k = 0; k < PANELS; k++) {
            panels.add(panel(k));
        }
        return ProductReader.read(
                ProductReader.parse(
                        """
                        {"name": "Saloon", "quantity": 1, "materials": [{"id": "ply18", "thickness": 18, "density": 680,
                          "board": {"length": 2500, "width": 1250, "grain": "length"}}], "panels": [%s]}
                        """
                                .formatted(String.join(",", panels))));
    }

    /** Rows of shelf pins on one face, dowels in the left edge, in every fourth a pocket. */
    private static String panel(int k) {
        List<String> features = new ArrayList<>();
        String face = k % 3 == 1 ? "bottom" : "top";
        for (int i = 0; i < 30; i++) {
            features.add(hole("h" + i, face, 40 + 32 * (i % 15), 50 + 300 * (i / 15), 5, 12));
        }
        for (int i = 0; i < 3; i++) {
            features.add(hole("e" + i, "left", 60 + 120 * i, 9, 8, 25));
        }
        if (k % 4 == 0) {
            features.add(
                    """
                    {"id": "p1", "face": "top", "kind": "pocket", "depth": 6,
                     "outline": [[200, 150], [320, 150], [320, 230], [200, 230]]}
                    """);
        }
        return """
        {"id": "panel-%d", "quantity": %d, "material": "ply18", "grain": "length", "length": %d, "width": %d,
         "thickness": 18, "features": [%s]}
        """
                .formatted(
                        k,
                        1 + k % 3,
                        600 + 10 * (k % 7),
                        400 + 10 * (k % 5),
                        String.join(",", features));
    }

    private static String hole(String id, String face, int u, int v, int diameter, int depth) {
        return String.format(
                Locale.ROOT,
                "{\"id\": \"%s\", \"face\": \"%s\", \"kind\": \"hole\", \"at\": [%d, %d], \"diameter\": %d, \"depth\": %d}",
                id,
                face,
                u,
                v,
                diameter,
                depth);
    }

    // ---- what is measured

    private static List<List<Clamping>> decided(Product product) {
        PanelMachine machine = RouterMilling.ROUTER.panels(HAZEL, BOOK).orElseThrow();
        Twins.of(product);
        return product.panels().stream()
                .map(p -> ClampingPlanner.decide(p, machine, ClampingWishes.NONE).clampings())
                .toList();
    }

    /** Makes the programs of all panels; returns how many. */
    private static int made(Product product) {
        List<List<Clamping>> decided = decided(product);
        int programs = 0;
        for (int i = 0; i < PANELS; i++) {
            Panel panel = product.panels().get(i);
            for (Clamping clamping : decided.get(i)) {
                PanelJob<RouterChoices> job =
                        RouterMilling.ROUTER
                                .panelJob(
                                        new PanelJob.Wished(
                                                panel,
                                                clamping,
                                                "birch plywood",
                                                true,
                                                0,
                                                0,
                                                false),
                                        HAZEL,
                                        BOOK)
                                .orElseThrow();
                RouterRun run = planned(panel, job);
                RoutedSheet.proved(run);
                CheckedWriter writer =
                        new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow());
                if (!writer.write(run.posted().program(), FRAME, run.stopNames())
                        .faults()
                        .isEmpty()) {
                    throw new IllegalStateException("a program reads otherwise: " + panel.id());
                }
                programs++;
            }
        }
        return programs;
    }

    private static RouterRun planned(Panel panel, PanelJob<RouterChoices> job) {
        Map<String, Purpose> marks = new HashMap<>();
        job.marks().forEach(layer -> marks.put(layer, Purpose.MARK));
        byte[] dxf = DxfWriter.write(job.drawing()).getBytes(StandardCharsets.UTF_8);
        Reading reading =
                new DrawingReading(ReadOptions.defaults().withRules(PurposeRules.ofLayers(marks)))
                        .read(new DrawingFiles(ImportOptions.defaults()).read("panel.dxf", dxf));
        Task<RouterChoices> task =
                new Task<>(
                        HAZEL,
                        BOOK,
                        reading,
                        new Task.Order("birch plywood", panel.size().thickness(), 1, 680),
                        SheetChoices.usual(),
                        job.choices());
        RouterRun run =
                (RouterRun) RouterMilling.ROUTER.plan(task, Optional.empty(), Progress.NONE);
        if (!run.run().refused().isEmpty()) {
            throw new IllegalStateException("refused: " + run.run().refused());
        }
        return run;
    }
}
