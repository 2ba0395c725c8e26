package dev.oleander.work.router.panel;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a router takes away of the first copy of a panel, carried to where it is drawn. */
public final class TakenByRouter implements TakenAway {

    private final Removed removed;
    private final ByOtherTools others;
    private final List<Bore> bores;

    private TakenByRouter(List<Cutting> cuttings, List<Bore> bores) {
        this.removed = new Removed(cuttings);
        this.others = new ByOtherTools(cuttings);
        this.bores = List.copyOf(bores);
    }

    /** Empty where nothing lies, or the work turns. */
    public static Optional<TakenAway> of(RouterPlan plan) {
        if (plan.run().layout().placements().isEmpty() || plan.turns()) {
            return Optional.empty();
        }
        Placement first = plan.run().layout().placements().get(0);
        Transform back = first.transform().inverse();
        List<Cutting> cuttings = new ArrayList<>();
        List<Bore> bores = new ArrayList<>();
        for (RouterStop stop : plan.done()) {
            if (stop.copy() == first.copy()) {
                Tool tool = stop.tool().orElseThrow();
                List<Leg> legs = stop.legs().stream().map(l -> l.transformed(back)).toList();
                if (tool.kind().lies()) {
                    bores.addAll(bores(legs, tool));
                } else {
                    cuttings.add(new Cutting(stop.id(), tool.form(), legs));
                }
            }
        }
        return Optional.of(new TakenByRouter(cuttings, bores));
    }

    private static List<Bore> bores(List<Leg> legs, Tool tool) {
        return legs.stream()
                .filter(l -> l.pace() == Leg.Pace.PLUNGE && l.segment().isPresent())
                .map(l -> bore(l, tool))
                .toList();
    }

    private static Bore bore(Leg leg, Tool tool) {
        Point mouth = leg.from();
        return new Bore(mouth, leg.to(), -leg.toZ(), tool.diameter());
    }

    @Override
    public List<Region> at(double depth) {
        return both(removed.at(-depth), others.at(depth, true));
    }

    @Override
    public List<Region> atMost(double depth) {
        return both(removed.atMost(-depth), others.at(depth, false));
    }

    private static List<Region> both(List<Region> flat, List<Region> others) {
        List<Region> all = new ArrayList<>(flat);
        all.addAll(others);
        return all;
    }

    @Override
    public List<Bore> bores() {
        return bores;
    }
}
