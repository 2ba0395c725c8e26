package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WirePass;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireRoom;
import dev.oleander.work.wire.cut.WireRoom.Ray;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.flank.Flanks.Way;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoublePredicate;

/** Makes passes along stretches of one profile. */
public final class ProfileWork {

    /** mm; the controller switches its offset off over a move, which needs some length. */
    private static final double LEAST_WAY = 0.005;

    /** mm; how exactly a shortened way is found. */
    private static final double FINE = 1e-3;

    private final ElementChain chain;
    private final WireSettings settings;
    private final boolean wireLeft;
    private final boolean outwardLeft;
    private final WaySource source;
    private final RoomSource room;
    private final Map<Integer, Round> rounds = new HashMap<>();

    /** The room of the wire beside the profile, by pass. */
    public interface RoomSource {
        WireRoom of(int pass);

        /** A place where the wire can always stand upright, where there is one. */
        default Optional<Point> hole() {
            return Optional.empty();
        }
    }

    /** The way of the wire all round, by pass. */
    interface WaySource {
        /**
         * @param offset mm
         */
        List<Way> way(double offset, int pass);

        /** How an element of the chain leans in a pass; above 0 towards the outside. */
        WireCut.Lean lean(int element, int pass);

        /** Height of the plane of the profile in a pass, mm. */
        double plane(int pass);

        /**
         * Whether the way follows from the drawn line, an offset and angles, so that these can be
         * written.
         */
        default boolean follows() {
            return true;
        }
    }

    /**
     * @param outwardLeft whether the outside of the contour lies to the left of the chain
     * @param room for leads and ways off
     */
    public ProfileWork(
            ElementChain chain,
            WireSettings settings,
            boolean outwardLeft,
            WaySource source,
            RoomSource room) {
        this.room = room;
        this.chain = chain;
        this.settings = settings;
        this.wireLeft = settings.wireLeft();
        this.outwardLeft = outwardLeft;
        this.source = source;
    }

    /** A stretch to cut, and how. */
    public record Stretch(WireCut.Role role, int pass, double from, double to, boolean reversed) {}

    /**
     * @param from where the wire comes from; empty: it goes on
     * @param stays whether the wire stays on the profile in the end
     */
    public WireCut cut(Stretch stretch, Optional<Point> from, boolean stays) {
        WireRow row = settings.row();
        WirePass data = row.passes().get(stretch.pass() - 1);
        List<Integer> range = chain.range(stretch.from(), stretch.to());
        List<Ruling> way = rulings(stretch.pass(), range);
        List<Segment> profile = chain.stretch(range);
        List<WireCut.Lean> leans = leans(range, stretch.pass());
        boolean left = wireLeft;
        if (stretch.reversed()) {
            way = Ruling.reversed(way);
            profile = reversed(profile);
            leans = back(leans).stream().map(WireCut.Lean::back).toList();
            left = !left;
        }
        Lead lead =
                from.isEmpty() ? Lead.NONE : lead(profile.get(0), isUpright(way), left, stretch);
        Optional<Point> off =
                stays ? Optional.empty() : Optional.of(off(profile, way, left, stretch.pass()));
        boolean posted = settings.compensation() == Compensation.CONTROLLER && source.follows();
        return new WireCut(
                stretch.pass(),
                stretch.role(),
                row.offset(stretch.pass()),
                data.register(),
                data.condition(),
                row.feed(stretch.pass()),
                left,
                profile,
                leans,
                source.plane(stretch.pass()),
                way,
                from,
                lead.square(),
                lead.arc(),
                off,
                posted);
    }

    /** The ways of all elements of a pass, and what goes round the corners after them. */
    private record Round(Map<Integer, List<Ruling>> of, Map<Integer, Ruling> cornerAfter) {

        static Round of(List<Way> ways) {
            Round round = new Round(new HashMap<>(), new HashMap<>());
            int element = -1;
            for (Way way : ways) {
                if (way.element() < 0) {
                    round.cornerAfter.put(element, way.ruling());
                } else {
                    element = way.element();
                    round.of.computeIfAbsent(element, e -> new ArrayList<>()).add(way.ruling());
                }
            }
            return round;
        }
    }

    private List<Ruling> rulings(int pass, List<Integer> range) {
        Round round =
                rounds.computeIfAbsent(
                        pass, p -> Round.of(source.way(settings.row().offset(p), p)));
        List<Ruling> rulings = new ArrayList<>();
        for (int k = 0; k < range.size(); k++) {
            rulings.addAll(round.of().get(range.get(k)));
            Ruling corner = round.cornerAfter().get(range.get(k));
            if (corner != null && k + 1 < range.size()) {
                rulings.add(corner);
            }
        }
        return rulings;
    }

    /** Of each element of the range. */
    private List<WireCut.Lean> leans(List<Integer> range, int pass) {
        return range.stream()
                .map(
                        i -> {
                            WireCut.Lean lean = source.lean(i, pass);
                            return outwardLeft ? lean : lean.back();
                        })
                .toList();
    }

    private static <T> List<T> back(List<T> list) {
        List<T> back = new ArrayList<>(list);
        Collections.reverse(back);
        return back;
    }

    private static List<Segment> reversed(List<Segment> profile) {
        return back(profile).stream().map(Segment::reversed).toList();
    }

    private static boolean isUpright(List<Ruling> way) {
        return way.stream().allMatch(Ruling::isUpright);
    }

    private record Lead(Optional<Point> square, Optional<WireCut.LeadArc> arc) {
        static final Lead NONE = new Lead(Optional.empty(), Optional.empty());
    }

    private Lead lead(Segment first, boolean upright, boolean left, Stretch stretch) {
        WireLead kind = settings.lead();
        double offset = settings.row().offset(stretch.pass());
        boolean straight = kind == WireLead.DIRECT || stretch.pass() > 1;
        if (straight) {
            return Lead.NONE;
        }
        Point along = first.direction(0);
        Point aside = along.left().times(left ? 1 : -1);
        Point at = first.start();
        double length = leadLength(at, aside, offset);
        if (kind == WireLead.SQUARE || !upright || length <= offset * 1.1) {
            Point corner = at.plus(aside.times(Math.max(length, 1.1 * offset)));
            return new Lead(Optional.of(corner), Optional.empty());
        }
        double sweep = left ? -Math.PI / 2 : Math.PI / 2;
        Point centre = at.plus(aside.times(length));
        // the arc comes from the side of the wire and touches the profile in the direction of
        // travel
        Point from = centre.minus(along.times(length));
        Arc drawn = new Arc(from, at, Math.tan(-sweep / 4));
        Segment run = drawn.parallel(left ? offset : -offset).orElseThrow();
        return new Lead(Optional.empty(), Optional.of(new WireCut.LeadArc(drawn, run)));
    }

    /** As long as is wished, or as there is room for when nobody set it here. */
    private double leadLength(Point at, Point aside, double offset) {
        double wished = settings.leadLength();
        Ray ray = new Ray(at.plus(aside.times(offset)), aside, Math.max(0, wished - offset));
        double free = offset + room.of(1).both(ray, settings.row().width(1) / 2);
        if (free < wished && settings.isSet("leadLength")) {
            throw tooFar("the lead", at, wished, free);
        }
        return Math.min(wished, free);
    }

    /**
     * At right angles to the element, so far that an upright wire is clear of both contours.
     *
     * @throws RefusedException when there is no room to go as far as is set
     */
    private Point off(List<Segment> profile, List<Ruling> way, boolean left, int pass) {
        Segment last = profile.get(profile.size() - 1);
        Ruling end = way.get(way.size() - 1);
        Point aside = last.direction(1).left().times(left ? 1 : -1);
        double lower = end.lower().end().minus(last.end()).dot(aside);
        double upper = end.upper().end().minus(last.end()).dot(aside);
        // in a corner the wire ends before the end of the element
        Point at = end.lower().end().minus(aside.times(lower));
        double most = Math.max(settings.row().offset(1), Math.max(lower, upper));
        double wished = most + settings.backOff();
        DoublePredicate clear = clear(at, aside, end, pass);
        if (clear.test(wished)) {
            return at.plus(aside.times(wished));
        }
        Optional<Point> hole = room.hole();
        if (!end.isUpright() && hole.isPresent() && isClear(end, hole.get(), pass)) {
            // beside the lower contour may lie the flank of the upper one
            return hole.get();
        }
        double least = Math.max(lower, upper) + LEAST_WAY;
        if (settings.isSet("backOff") || !clear.test(least)) {
            double free = clear.test(most) ? farthest(most, wished, clear) - most : 0;
            throw tooFar("the way off the profile", at, settings.backOff(), free);
        }
        return at.plus(aside.times(farthest(least, wished, clear)));
    }

    /** Whether the swath is clear on the way from an end to a place so far aside, mm. */
    private DoublePredicate clear(Point at, Point aside, Ruling end, int pass) {
        return d -> isClear(end, at.plus(aside.times(d)), pass);
    }

    private boolean isClear(Ruling end, Point to, int pass) {
        double half = settings.row().width(pass) / 2;
        WireRoom here = room.of(pass);
        return here.isClear(Ruling::lower, end, to, half)
                && here.isClear(Ruling::upper, end, to, half);
    }

    /** The greatest distance at which a predicate still holds, by bisection. */
    private static double farthest(double good, double bad, DoublePredicate holds) {
        double low = good;
        double high = bad;
        while (high - low > FINE) {
            double middle = (low + high) / 2;
            if (holds.test(middle)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static RefusedException tooFar(String what, Point at, double wished, double free) {
        double most = Math.floor(Math.max(0, free) * 100) / 100;
        return new RefusedException(
                new Refusal(
                        Refusal.Kind.LEAD_BITES,
                        "%s is set to %s; at %s the wire has room for %s before it cuts into what is kept. Make it at most that, or begin elsewhere."
                                .formatted(
                                        what,
                                        Numbers.length(wished),
                                        Flanks.place(at),
                                        Numbers.length(most)),
                        at,
                        wished,
                        most));
    }

    /** A straight way, of nothing when both places are one. */
    public static List<Segment> line(Point from, Point to) {
        return from.equals(to) ? List.of() : List.of(new Line(from, to));
    }
}
