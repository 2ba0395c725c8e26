package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.motion.WireMotion;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Compares the wire's way in a plan with what the controller makes of a program that was read back:
 * offsets by its registers, leaning by its angles, turning the work by its rotary axis.
 */
public final class WireReplay {

    /** mm; shorter moves are left out of both. */
    private static final double LEAST = 2e-4;

    /** mm; ways that are farther apart are not the same. */
    private static final double MOST_APART = 5e-3;

    /** degrees */
    private static final double SAME_TURN = 1e-3;

    /** radians between places of an arc */
    private static final double ARC_STEP = 0.02;

    /** Stretches of the other way among which the next is sought. */
    private static final int AHEAD = 2000;

    private WireReplay() {}

    /**
     * What came of it.
     *
     * @param deviation greatest distance in either plane at equal moments, mm
     * @param faults sentences; none when both have the same moves
     */
    public record Result(double deviation, List<String> faults) {}

    /**
     * @param wire motion of the plan
     * @param read program read back
     * @param registers offsets that stand in the controller, mm by number
     * @param height of the work, mm
     */
    public static Result compare(
            Program wire, Program read, Map<Integer, Double> registers, double height) {
        return compare(planned(wire, stop -> true), read, registers, height, false);
    }

    /**
     * The same for a program of some stops: travels between them may be other ones.
     *
     * @param chosen ids of the stops
     */
    public static Result compare(
            Program wire,
            Predicate<String> chosen,
            Program read,
            Map<Integer, Double> registers,
            double height) {
        return compare(planned(wire, chosen), read, registers, height, true);
    }

    private static Result compare(
            List<WireMove> planned,
            Program read,
            Map<Integer, Double> registers,
            double height,
            boolean feedsOnly) {
        List<WireMove> done;
        try {
            done = new WireController(registers, height, WireMotion.CHORD).run(read);
        } catch (ControllerException impossible) {
            return new Result(
                    0, List.of("The controller cannot run it: " + impossible.getMessage() + "."));
        }
        return compare(longer(planned, feedsOnly), longer(done, feedsOnly));
    }

    private static Result compare(List<WireMove> planned, List<WireMove> done) {
        if (planned.size() != done.size()) {
            return differently(planned, done);
        }
        double deviation = 0;
        for (int i = 0; i < planned.size(); i++) {
            WireMove one = planned.get(i);
            WireMove other = done.get(i);
            deviation = Math.max(deviation, apart(one.way().lower(), other.way().lower()));
            deviation = Math.max(deviation, apart(one.way().upper(), other.way().upper()));
            if (Math.abs(one.turn() - other.turn()) > SAME_TURN) {
                return new Result(deviation, List.of(turned(one.turn(), other.turn(), i)));
            }
        }
        return new Result(deviation, List.of());
    }

    private static String turned(double planned, double done, int move) {
        return "The work is turned to %s° at move %d; in the plan it is %s°."
                .formatted(Numbers.plain(done, 3), move + 1, Numbers.plain(planned, 3));
    }

    private static double apart(Segment a, Segment b) {
        double ends = Math.max(a.start().distance(b.start()), a.end().distance(b.end()));
        return Math.max(ends, a.middle().distance(b.middle()));
    }

    private static List<WireMove> longer(List<WireMove> moves, boolean feedsOnly) {
        return moves.stream()
                .filter(m -> !(feedsOnly && m.rapid()))
                .filter(m -> m.way().lower().length() > LEAST || m.way().upper().length() > LEAST)
                .toList();
    }

    private static List<WireMove> planned(Program wire, Predicate<String> chosen) {
        List<WireMove> moves = new ArrayList<>();
        double turn = 0;
        for (Item item : wire.items()) {
            if (item instanceof Item.Event event && event.kind() == EventKind.INDEX) {
                turn = event.args().getOrDefault("turn", 0.0);
            }
            if (chosen.test(item.origin().stop())) {
                Optional<Ruling> way = way(item);
                if (way.isPresent()) {
                    moves.add(new WireMove(way.get(), turn, item instanceof Item.Rapid));
                }
            }
        }
        return moves;
    }

    private static Optional<Ruling> way(Item item) {
        if (item instanceof Item.Rapid rapid) {
            return Optional.of(Ruling.upright(new Line(rapid.from(), rapid.to())));
        }
        if (item instanceof Item.Feed feed) {
            return Optional.of(Ruling.upright(feed.segment()));
        }
        return item instanceof Item.TwoPlane both
                ? Optional.of(new Ruling(way(both.lower()), way(both.upper())))
                : Optional.empty();
    }

    private static Segment way(Item.Way way) {
        return WireController.segment(way.from(), way.to());
    }

    /**
     * Arcs may fall into one chord more or less when their ends were rounded: then both ways are
     * compared as lines in the four coordinates, in either direction.
     */
    private static Result differently(List<WireMove> planned, List<WireMove> done) {
        if (planned.isEmpty() || done.isEmpty()) {
            return new Result(
                    Double.NaN,
                    List.of(
                            "The wire makes %d moves in the plan, the controller %d."
                                    .formatted(planned.size(), done.size())));
        }
        if (!turns(planned).equals(turns(done))) {
            return new Result(
                    Double.NaN,
                    List.of(
                            "The work is turned to %s; in the plan to %s."
                                    .formatted(degrees(turns(done)), degrees(turns(planned)))));
        }
        double[][] one = places(planned);
        double[][] other = places(done);
        double deviation = Math.max(apart(one, other), apart(other, one));
        if (deviation > MOST_APART) {
            String sentence =
                    "The wire makes %d moves in the plan, the controller %d, up to %s mm apart."
                            .formatted(planned.size(), done.size(), Numbers.plain(deviation, 4));
            return new Result(deviation, List.of(sentence));
        }
        return new Result(deviation, List.of());
    }

    /** Angles of the rotary axis one after the other, in thousandths of a degree. */
    private static List<Long> turns(List<WireMove> moves) {
        List<Long> turns = new ArrayList<>();
        for (WireMove move : moves) {
            long turn = Math.round(move.turn() / SAME_TURN);
            if (turns.isEmpty() || turns.get(turns.size() - 1) != turn) {
                turns.add(turn);
            }
        }
        return turns;
    }

    private static String degrees(List<Long> turns) {
        return turns.stream()
                .map(t -> Numbers.plain(t * SAME_TURN, 3) + "°")
                .collect(Collectors.joining(", "));
    }

    /** x and y below and above, by place. */
    private static double[][] places(List<WireMove> moves) {
        List<double[]> places = new ArrayList<>();
        for (WireMove made : moves) {
            Ruling move = made.way();
            int parts = 1;
            if (move.lower() instanceof Arc arc) {
                parts += (int) (Math.abs(arc.sweep()) / ARC_STEP);
            }
            for (int i = 0; i <= parts; i++) {
                Point lower = move.lower().at((double) i / parts);
                Point upper = move.upper().at((double) i / parts);
                places.add(new double[] {lower.x(), lower.y(), upper.x(), upper.y()});
            }
        }
        return places.toArray(double[][]::new);
    }

    /** The greatest distance of the places of a way from another one, which is followed along. */
    private static double apart(double[][] places, double[][] way) {
        double most = 0;
        int at = 0;
        for (double[] place : places) {
            int next = following(place, way, at);
            if (next >= 0) {
                at = next;
            }
            most = Math.max(most, distance(place, way[at], way[at + 1]));
        }
        return most;
    }

    /**
     * The next stretch that holds the place, the nearest of neighbours that do; not a later one,
     * since a wire goes to and fro on the same way.
     *
     * @return -1 if none does
     */
    private static int following(double[] place, double[][] way, int from) {
        int end = Math.min(way.length - 1, from + AHEAD);
        for (int j = from; j < end; j++) {
            double here = distance(place, way[j], way[j + 1]);
            if (here > MOST_APART) {
                continue;
            }
            while (j + 1 < end && distance(place, way[j + 1], way[j + 2]) < here) {
                j++;
                here = distance(place, way[j], way[j + 1]);
            }
            return j;
        }
        return -1;
    }

    private static double distance(double[] p, double[] a, double[] b) {
        double along = 0;
        double square = 0;
        for (int k = 0; k < p.length; k++) {
            along += (p[k] - a[k]) * (b[k] - a[k]);
            square += (b[k] - a[k]) * (b[k] - a[k]);
        }
        double t = square == 0 ? 0 : Math.max(0, Math.min(1, along / square));
        double sum = 0;
        for (int k = 0; k < p.length; k++) {
            double off = p[k] - a[k] - t * (b[k] - a[k]);
            sum += off * off;
        }
        return Math.sqrt(sum);
    }
}
