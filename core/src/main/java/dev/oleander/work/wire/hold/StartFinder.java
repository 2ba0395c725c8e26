package dev.oleander.work.wire.hold;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.flank.Flanks;

/** Finds where on a closed profile the first pass begins: near the hole, with room for the hold. */
public final class StartFinder {

    /** Offsets that a start keeps away from corners. */
    private static final double CLEAR_OF_CORNERS = 1.5;

    private static final double LEAST_CLEAR = 0.05;

    /** mm; a crossing nearer to the start than this is the start itself. */
    private static final double AT_START = 1e-4;

    private final Contour contour;
    private final WireSettings settings;
    private final Stretches stretches;

    public StartFinder(Contour contour, WireSettings settings) {
        this.contour = contour;
        this.settings = settings;
        this.stretches = new Stretches(contour);
    }

    /** mm that starts, ends of passes and holds keep away from corners. */
    public static double clear(WireSettings settings) {
        return CLEAR_OF_CORNERS * settings.row().greatestOffset();
    }

    /**
     * Distance along the drawn contour.
     *
     * @param wished of a person; null: the place nearest to the hole
     * @throws RefusedException when the hold does not fit, or the way from the hole is not clear
     */
    public double find(Point hole, Double wished) {
        double before = settings.slug().holds() ? settings.hold() : 0;
        double clear = clear(settings);
        double at = wished == null ? contour.distanceAt(contour.nearest(hole)) : wished;
        double start =
                wished == null
                        ? found(at, before, clear)
                        : kept(stretches.isCorner(at) ? at : stretches.away(at, clear), before);
        requireClear(hole, contour.stationAt(start).point());
        return start;
    }

    /** The window holds the hold before the start and some room to either side. */
    private double found(double at, double before, double clear) {
        boolean forward = settings.anticlockwise() == contour.isAnticlockwise();
        double behind = forward ? before : 0;
        double ahead = forward ? 0 : before;
        double width = before + 2 * clear;
        boolean tight = stretches.room(at, false) < width;
        double room =
                tight && before == 0
                        ? Math.max(LEAST_CLEAR, stretches.room(at, false) * 0.9)
                        : width;
        double middle = at + (ahead - behind) / 2;
        double placed = stretches.place(middle, room, what());
        double start = placed - (ahead - behind) / 2;
        double length = contour.length();
        return ((start % length) + length) % length;
    }

    private String what() {
        return settings.slug().holds()
                ? "the hold of %s".formatted(Numbers.length(settings.hold()))
                : "the start of the profile";
    }

    private double kept(double at, double before) {
        double length = contour.length();
        double start = ((at % length) + length) % length;
        boolean forward = settings.anticlockwise() == contour.isAnticlockwise();
        if (before > 0) {
            double room =
                    forward
                            ? stretches.room(start, true)
                            : stretches.room(start, false) - stretches.room(start, true);
            if (room < before) {
                Point p = contour.stationAt(start).point();
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.HOLD,
                                "the hold of %s is wider than the %s of the element before the start at %s. Make it narrower or move the start."
                                        .formatted(
                                                Numbers.length(before),
                                                Numbers.length(room),
                                                Flanks.place(p)),
                                p,
                                before,
                                room));
            }
        }
        return start;
    }

    private void requireClear(Point hole, Point start) {
        if (hole.distance(start) < AT_START) {
            return;
        }
        requireClear(contour, hole, start, settings.kind());
    }

    /** The way from the hole meets the profile at the start only. */
    static void requireClear(Chain chain, Point hole, Point start, WireKind kind) {
        Line way = new Line(hole, start);
        for (Segment segment : chain.segments()) {
            for (var crossing : Intersections.of(way, segment, 1e-9)) {
                if (crossing.point().distance(start) > AT_START) {
                    throw new RefusedException(
                            new Refusal(
                                    Refusal.Kind.LEAD_BITES,
                                    "the way from the start hole at %s to the profile at %s cuts through the %s at %s. Move the hole or the start."
                                            .formatted(
                                                    Flanks.place(hole),
                                                    Flanks.place(start),
                                                    kind == WireKind.OPENING ? "die" : "part",
                                                    Flanks.place(crossing.point())),
                                    crossing.point(),
                                    0,
                                    0));
                }
            }
        }
    }
}
