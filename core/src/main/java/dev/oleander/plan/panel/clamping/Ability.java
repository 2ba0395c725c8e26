package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.PanelMachine.SideSpindle;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Optional;

/** Whether a feature can be done in a clamping. */
final class Ability {

    /** mm that must be left between a hole in an edge and both faces. */
    private static final double WALL = 2;

    /** mm within which a drill has the diameter of a hole. */
    private static final double SAME = 0.05;

    private static final double ROUNDED = 1e-9;

    private final Panel panel;
    private final PanelMachine machine;

    Ability(Panel panel, PanelMachine machine) {
        this.panel = panel;
        this.machine = machine;
    }

    /** Why not; empty when it can be done. */
    Optional<String> whyNot(PanelFeature feature, Lying lying) {
        Face.Size lies = lying.on(panel.size());
        if (lies.length() > machine.length() || lies.width() > machine.width()) {
            return Optional.of(
                    "%s × %s is more than %s takes, %s × %s"
                            .formatted(
                                    mm(lies.length()),
                                    mm(lies.width()),
                                    machine.name(),
                                    mm(machine.length()),
                                    mm(machine.width())));
        }
        if (feature.face().isEdge()) {
            return inEdge(feature, lying);
        }
        return feature.through() || feature.face() == lying.up()
                ? Optional.empty()
                : Optional.of("blind on the face below");
    }

    private Optional<String> inEdge(PanelFeature feature, Lying lying) {
        if (!feature.isHole()) {
            return Optional.of("no unit for a %s in an edge".formatted(feature.kind().label()));
        }
        if (!feature.steps().isEmpty()) {
            return Optional.of("no unit for a stepped hole in an edge");
        }
        double v = feature.middle().y();
        double radius = feature.diameter() / 2;
        double toBottom = v - radius;
        double toTop = panel.size().thickness() - v - radius;
        if (Math.min(toBottom, toTop) < WALL - ROUNDED) {
            return Optional.of(
                    "Ø %s on the %s edge at v = %s leaves %s mm to the %s face (needs %s)"
                            .formatted(
                                    mm(feature.diameter()),
                                    feature.face().label(),
                                    mm(v),
                                    mm(Math.min(toBottom, toTop)),
                                    toBottom < toTop ? "bottom" : "top",
                                    mm(WALL)));
        }
        return byUnit(feature, lying, lying.up() == Face.TOP ? v : panel.size().thickness() - v);
    }

    private Optional<String> byUnit(PanelFeature feature, Lying lying, double height) {
        Face looks = lying.looks(feature.face());
        List<SideSpindle> units =
                machine.spindles().stream().filter(s -> s.looks() == looks).toList();
        if (units.isEmpty()) {
            return Optional.of("no unit for the %s edge".formatted(looks.label()));
        }
        if (height < machine.lowest() || height > machine.highest()) {
            boolean low = height < machine.lowest();
            return Optional.of(
                    "axis %s over the table, %s %s"
                            .formatted(
                                    mm(height),
                                    low ? "lowest" : "highest",
                                    mm(low ? machine.lowest() : machine.highest())));
        }
        List<SideSpindle> fitting =
                units.stream()
                        .filter(s -> Math.abs(s.diameter() - feature.diameter()) <= SAME)
                        .toList();
        if (fitting.isEmpty()) {
            return Optional.of("no tool of %s mm".formatted(mm(feature.diameter())));
        }
        double reach = fitting.stream().mapToDouble(SideSpindle::reach).max().orElseThrow();
        return feature.depth() > reach
                ? Optional.of(
                        "%s deep, the unit reaches %s".formatted(mm(feature.depth()), mm(reach)))
                : Optional.empty();
    }

    private static String mm(double value) {
        return Numbers.plain(value, 2);
    }
}
