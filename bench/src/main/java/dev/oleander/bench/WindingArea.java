package dev.oleander.bench;

import dev.oleander.drawing.Drawing;
import dev.oleander.winding.eye.EyePath;
import dev.oleander.winding.eye.EyePoint;
import dev.oleander.winding.eye.EyeRule;
import dev.oleander.winding.eye.EyeSet;
import dev.oleander.winding.eye.YawRule;
import dev.oleander.winding.form.LayerForm;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.layer.Change;
import dev.oleander.winding.layer.LaidLayer;
import dev.oleander.winding.layer.LayerPlanner;
import dev.oleander.winding.layer.Reachable;
import dev.oleander.winding.mesh.Laminate;
import dev.oleander.winding.mesh.Mesh;
import dev.oleander.winding.path.ByLength;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.Leg;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.program.AxisProgram;
import dev.oleander.winding.program.AxisRow;
import dev.oleander.winding.program.ForwardSolution;
import dev.oleander.winding.surface.Meridian;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/** Winding: patterns, layers, machine paths with their proof, and how far figures are off. */
final class WindingArea implements Area {

    private static final int RUNS = 5;
    private static final int CIRCUITS = 200;

    /** s, each: what people wait for */
    private static final double PATTERNS = 1;

    private static final double LAYER = 2;
    private static final double MACHINE = 3;
    private static final double DRAGGED = 0.1;

    /** degrees and mm by which both ways to a path may differ */
    private static final double AGREE = 1e-7;

    /** mm that the middle of a band may lie off */
    private static final double TOLERANCE = 0.05;

    private static final double FREE = 80;

    @Override
    public String name() {
        return "winding";
    }

    @Override
    public List<Row> measure() {
        List<Row> rows = new ArrayList<>();
        WindingForm floats = form("float_two_openings");
        Meridian meridian = floats.mandrel().surface(Drawing.empty("float"), 0);
        LayerPlanner planner = new LayerPlanner(meridian, floats.material());
        times(rows, floats.layers().get(0), meridian, planner);
        figures(rows, planner.lay(floats.layers().get(0)));
        return rows;
    }

    private static WindingForm form(String name) {
        try {
            Path file = Path.of("samples", "winding", name + ".winding.json");
            return JsonMapper.shared().readValue(Files.readAllBytes(file), WindingForm.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void times(
            List<Row> rows, LayerForm layer, Meridian meridian, LayerPlanner planner) {
        List<List<Reachable>> found = new ArrayList<>();
        double seconds =
                Timing.median(RUNS, () -> found.add(planner.patterns(layer, Change.ANGLE, 2, 20)));
        rows.add(
                Row.below(
                        "patterns of a steered layer, %d found".formatted(found.get(0).size()),
                        seconds,
                        "s",
                        PATTERNS,
                        null));
        seconds = Timing.median(RUNS, () -> covered(planner.lay(layer)));
        rows.add(Row.below("a layer with its circuits, edges, cover", seconds, "s", LAYER, null));
        seconds = Timing.median(RUNS, () -> planner.lay(layer).slipMargin());
        rows.add(Row.below("a turn radius dragged", seconds, "s", DRAGGED, null));
        LaidLayer laid = planner.lay(layer);
        int[] points = new int[1];
        double[] off = new double[1];
        seconds =
                Timing.median(
                        RUNS,
                        () -> {
                            List<AxisRow> program = program(meridian, laid);
                            points[0] = program.size();
                            off[0] = AxisProgram.deviation(meridian, laid.path(), program);
                        });
        rows.add(
                Row.below(
                        "machine path of %d circuits, %d points, and what it lays"
                                .formatted(CIRCUITS, points[0]),
                        seconds,
                        "s",
                        MACHINE,
                        null));
        rows.add(Row.below("the same: what it lays off", off[0], "mm", TOLERANCE, null));
    }

    /** All bands with both edges, and what lies on every circle. */
    private static double covered(LaidLayer layer) {
        Circuit circuit = layer.circuit().orElseThrow();
        double sum = 0;
        for (int i = 0; i <= 400; i++) {
            double m = layer.meridian().length() * i / 400;
            sum += layer.cover().on(m).gap() + layer.thickness(m);
        }
        int steps = 400;
        for (int i = 0; i < steps * layer.circuits(); i++) {
            sum += circuit.at(circuit.length() * i / steps).phi();
        }
        return sum;
    }

    private static EyePath eye(Circuit circuit) {
        return new EyePath(
                circuit,
                new EyeSet(EyeSet.axes(4), new EyeRule.FreeLength(FREE), YawRule.FLAT, 0, 0));
    }

    /** Equal circuits are thinned once. */
    private static List<AxisRow> program(Meridian meridian, LaidLayer layer) {
        Circuit circuit = layer.circuit().orElseThrow();
        AxisProgram program = AxisProgram.of(meridian, eye(circuit), TOLERANCE);
        List<AxisRow> all = new ArrayList<>();
        for (int k = 0; k < CIRCUITS; k++) {
            for (AxisRow row : program.rows()) {
                all.add(row.turned(k * circuit.length(), k * circuit.angle()));
            }
        }
        return all;
    }

    private static void figures(List<Row> rows, LaidLayer layer) {
        Circuit circuit = layer.circuit().orElseThrow();
        double mm = 0;
        double degrees = 0;
        for (Side side : Side.values()) {
            Leg leg = circuit.leg(side);
            double alpha = leg.at(0).alpha();
            ByLength.Reached other =
                    new ByLength(
                                    layer.meridian(),
                                    m -> side.sign() * leg.by(leg.variable(m)).lambda())
                            .toTurn(
                                    leg.stationM(),
                                    side == Side.RIGHT ? alpha : Math.PI - alpha,
                                    List.of());
            mm = Math.max(mm, Math.abs(other.l() - leg.length()));
            degrees = Math.max(degrees, Math.abs(Math.toDegrees(other.phi() - leg.angle())));
        }
        rows.add(Row.below("both ways to a path: length off", mm, "mm", AGREE, null));
        rows.add(Row.below("the same: angle off", degrees, "degrees", AGREE, null));
        rows.add(Row.below("thickness summed up off", summed(layer), "share", 1e-4, null));
        rows.add(Row.below("mesh: mass off", mass(layer), "share", 0.01, null));
        rows.add(Row.below("forward solution off", forward(), "mm", 1e-5, null));
    }

    private static double summed(LaidLayer layer) {
        int steps = 40_000;
        double volume = 0;
        double step = layer.meridian().length() / steps;
        for (int i = 0; i < steps; i++) {
            double m = (i + 0.5) * step;
            volume += layer.thickness(m) * 2 * Math.PI * layer.meridian().at(m).r() * step;
        }
        Circuit circuit = layer.circuit().orElseThrow();
        double gauss = 0;
        for (int i = 0; i < 4000; i++) {
            var p = circuit.at(circuit.length() * (i + 0.5) / 4000).surface();
            gauss += p.kappaM() * p.kappaP() / 4000;
        }
        double b = layer.material().width();
        double laid = layer.bandLength() * layer.material().section();
        return Math.abs(volume / (laid * (1 - gauss * b * b / 24)) - 1);
    }

    private static double mass(LaidLayer layer) {
        Mesh mesh = new Mesh(new Laminate(layer.meridian(), List.of(layer)), Mesh.Options.USUAL);
        double volume = mesh.volume();
        return Math.abs(volume / (layer.bandLength() * layer.material().section()) - 1);
    }

    /** On a sphere, where the eye's way is smooth: a point every hundredth of a mm. */
    private static double forward() {
        WindingForm form = form("sphere_great_circle");
        Meridian meridian = form.mandrel().surface(Drawing.empty("sphere"), 0);
        LaidLayer layer = new LayerPlanner(meridian, form.material()).lay(form.layers().get(0));
        Circuit circuit = layer.circuit().orElseThrow();
        EyePath eye = eye(circuit);
        List<AxisRow> all = new ArrayList<>();
        int steps = 50_000;
        for (int i = 0; i <= steps; i++) {
            EyePoint p = eye.at(circuit.length() * i / steps);
            all.add(new AxisRow(p.l(), p.axes()));
        }
        List<ForwardSolution.Laid> laid = new ForwardSolution(meridian).lay(circuit.at(0), all);
        double most = 0;
        for (int i = 0; i <= steps; i += 100) {
            PathPoint p = circuit.at(all.get(i).l());
            double round = (laid.get(i).phi() - p.phi()) * p.surface().r();
            most = Math.max(most, Math.hypot(laid.get(i).m() - p.m(), round));
        }
        return most;
    }
}
