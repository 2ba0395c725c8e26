package dev.oleander.plan.panel.whole;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.clamping.References;
import dev.oleander.plan.panel.whole.PanelChecks.Finding;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What should be looked at in how the panels of a product lie. */
public final class ClampingChecks {

    /** mm by which a panel may be larger or smaller than it should: that of a saw. */
    private static final double SIZE = 0.2;

    private final PanelMachine machine;
    private final List<Finding> findings = new ArrayList<>();

    private ClampingChecks(PanelMachine machine) {
        this.machine = machine;
    }

    /**
     * @param decisions how panels lie, by their ids
     * @return rules face, reference and mirror
     */
    public static List<Finding> of(
            Product product, Map<String, Decision> decisions, PanelMachine machine, Twins twins) {
        ClampingChecks checks = new ClampingChecks(machine);
        for (Panel panel : product.made()) {
            List<Clamping> clampings = decisions.get(panel.id()).clampings();
            clampings.forEach(c -> checks.face(panel, c));
            checks.references(panel, clampings);
            checks.mirror(product, panel, twins);
        }
        return List.copyOf(checks.findings);
    }

    private void add(String rule, Panel panel, String feature, String sentence, Object... values) {
        findings.add(
                new Finding(
                        rule,
                        panel.id(),
                        feature,
                        "Panel %s: %s".formatted(panel.id(), sentence.formatted(values))));
    }

    /** Tools that pull up tear the face they leave. */
    private void face(Panel panel, Clamping clamping) {
        Face up = clamping.lying().up();
        Optional<PanelFeature> through =
                clamping.features().stream()
                        .map(id -> panel.feature(id).orElseThrow())
                        .filter(PanelFeature::belongsToNone)
                        .findFirst();
        if (machine.tearsAbove() && panel.show().contains(up) && through.isPresent()) {
            add(
                    "face",
                    panel,
                    through.get().id(),
                    "its %s will be seen and lies up; what goes through is cut by tools that tear there.",
                    up.label());
        }
    }

    /** Other edges at the stops let the tolerance of the size in; so does an edge that is cut. */
    private void references(Panel panel, List<Clamping> clampings) {
        List<Clamping> alone = clampings.stream().filter(c -> !c.onBoard()).toList();
        for (int i = 1; i < alone.size(); i++) {
            Clamping first = alone.get(0);
            Clamping then = alone.get(i);
            if (!then.reference().equals(first.reference())) {
                parted(panel, first, then);
            }
            cut(panel, alone.subList(0, i), then);
        }
    }

    /** An edge at the stops that was cut before is no longer where it was. */
    private void cut(Panel panel, List<Clamping> before, Clamping then) {
        List<PanelFeature> done =
                before.stream()
                        .flatMap(c -> c.features().stream())
                        .map(id -> panel.feature(id).orElseThrow())
                        .toList();
        for (Face edge : then.reference()) {
            if (References.isCut(panel, done, edge)) {
                add(
                        "reference",
                        panel,
                        "",
                        "its %s edge lies at the stops with the %s up; it was cut before.",
                        edge.label(),
                        then.lying().up().label());
            }
        }
    }

    private void parted(Panel panel, Clamping first, Clamping then) {
        for (String id : then.features()) {
            PanelFeature feature = panel.feature(id).orElseThrow();
            if (feature.tolerance().isPresent() && feature.tolerance().getAsDouble() < SIZE) {
                add(
                        "reference",
                        panel,
                        id,
                        "%s %s may lie %s mm beside its place; it is made from the %s corner, others from the %s, between which the size varies by %s.",
                        feature.kind().label(),
                        id,
                        Numbers.plain(feature.tolerance().getAsDouble(), 3),
                        then.corner(),
                        first.corner(),
                        Numbers.plain(SIZE, 2));
            }
        }
    }

    /** What is each other's mirror image mostly comes in equal numbers. */
    private void mirror(Product product, Panel panel, Twins twins) {
        Optional<Panel> other = twins.mirrorOf(panel.id()).flatMap(product::panel);
        if (other.isPresent() && product.count(other.get()) != product.count(panel)) {
            add(
                    "mirror",
                    panel,
                    "",
                    "it is the mirror image of %s; there are %d of it and %d of the other.",
                    other.get().id(),
                    product.count(panel),
                    product.count(other.get()));
        }
    }
}
