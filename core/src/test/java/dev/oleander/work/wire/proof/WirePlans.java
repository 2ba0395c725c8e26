package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.Run;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Plans of the wire made wrong on purpose. */
final class WirePlans {

    private WirePlans() {}

    static WirePlan with(
            WirePlan plan, Run run, Map<String, WireVisit> visits, List<StartHole> holes) {
        return new WirePlan(
                plan.task(),
                plan.choices(),
                run,
                plan.copies(),
                visits,
                plan.settings(),
                holes,
                plan.surfaces(),
                plan.order());
    }

    static WirePlan changed(WirePlan plan, UnaryOperator<WireVisit> change) {
        Map<String, WireVisit> visits = new HashMap<>();
        plan.visits().forEach((id, visit) -> visits.put(id, change.apply(visit)));
        return with(plan, plan.run(), visits, plan.holes());
    }

    static WireVisit withCuts(WireVisit visit, UnaryOperator<WireCut> change) {
        List<WireVisit.Step> steps = new ArrayList<>();
        for (WireVisit.Step step : visit.steps()) {
            steps.add(
                    step instanceof WireVisit.Cut cut
                            ? new WireVisit.Cut(change.apply(cut.cut()))
                            : step);
        }
        return new WireVisit(
                visit.stop(), visit.feature(), visit.copy(), visit.role(), steps, visit.frees());
    }

    static WireCut withFrom(WireCut c, Point from) {
        return with(c, c.way(), Optional.of(from), c.off());
    }

    static WireCut withOff(WireCut c, Point off) {
        return with(c, c.way(), c.from(), Optional.of(off));
    }

    static WireCut withWay(WireCut c, List<Ruling> way) {
        return with(c, way, c.from(), c.off());
    }

    private static WireCut with(
            WireCut c, List<Ruling> way, Optional<Point> from, Optional<Point> off) {
        return new WireCut(
                c.pass(),
                c.role(),
                c.offset(),
                c.register(),
                c.condition(),
                c.feed(),
                c.wireLeft(),
                c.profile(),
                c.leans(),
                c.plane(),
                way,
                from,
                c.square(),
                c.arc(),
                off,
                c.posted());
    }

    /** A way that runs on straight, mm. */
    static List<Ruling> longer(List<Ruling> way, double mm) {
        List<Ruling> longer = new ArrayList<>(way);
        Segment last = way.get(way.size() - 1).lower();
        Point end = last.end();
        longer.add(Ruling.upright(new Line(end, end.plus(last.direction(1).times(mm)))));
        return longer;
    }
}
