package dev.oleander.work.wire.hold;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.flank.Flanks;
import java.util.List;
import java.util.function.Function;

/**
 * What is left of holds: the cut goes half its width past where its centre ends, at either side.
 */
public final class HoldCheck {

    private final WireSettings settings;
    private final double leastWeb;

    /**
     * @param leastWeb narrowest web that carries the piece, mm
     */
    public HoldCheck(WireSettings settings, double leastWeb) {
        this.settings = settings;
        this.leastWeb = leastWeb;
    }

    /**
     * @throws RefusedException when less than the narrowest web is left of a hold
     */
    public void require(List<WireVisit> visits) {
        List<WireCut> rough =
                visits.stream()
                        .flatMap(v -> v.cuts().stream())
                        .filter(c -> c.role() == WireCut.Role.ROUGH)
                        .toList();
        boolean holds = settings.slug().holds() || settings.slug() == SlugHandling.STOP_BEFORE;
        for (int i = 0; holds && i < rough.size(); i++) {
            WireCut before = rough.get(i);
            WireCut after = rough.get((i + 1) % rough.size());
            require(
                    before.end(),
                    Math.min(
                            between(before, after, Ruling::lower),
                            between(before, after, Ruling::upper)));
        }
    }

    /** Between the wire at the end of a cut and at the begin of the next, mm. */
    private static double between(WireCut before, WireCut after, Function<Ruling, Segment> plane) {
        Point end = plane.apply(before.way().get(before.way().size() - 1)).end();
        return end.distance(plane.apply(after.way().get(0)).start());
    }

    private void require(Point place, double apart) {
        double web = apart - settings.row().width(1);
        if (web < leastWeb) {
            double enough = Math.ceil((settings.hold() + leastWeb - web) * 100) / 100;
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLD,
                            "of its hold of %s %s at %s, since the wire cuts %s wide; it takes %s to carry the piece. Make the hold %s wide."
                                    .formatted(
                                            Numbers.length(settings.hold()),
                                            web > 0
                                                    ? Numbers.length(web) + " is left"
                                                    : "nothing is left",
                                            Flanks.place(place),
                                            Numbers.length(settings.row().width(1)),
                                            Numbers.length(leastWeb),
                                            Numbers.length(enough)),
                            place,
                            web,
                            leastWeb));
        }
    }
}
