package dev.oleander.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.WireMotion;
import dev.oleander.plan.wire.Ruling;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Compares the wire's way in a plan with what the controller makes of a program that was read back:
 * offsets by its registers, leaning by its angles.
 */
public final class WireReplay {

    /** mm; shorter moves are left out of both. */
    private static final double LEAST = 2e-4;

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
        List<Ruling> planned = planned(wire);
        List<Ruling> done;
        try {
            done = new WireController(registers, height, WireMotion.CHORD).run(read);
        } catch (IllegalArgumentException impossible) {
            return new Result(
                    0, List.of("The controller cannot run it: " + impossible.getMessage() + "."));
        }
        return compare(longer(planned), longer(done));
    }

    private static Result compare(List<Ruling> planned, List<Ruling> done) {
        if (planned.size() != done.size()) {
            String sentence =
                    "The wire makes %d moves in the plan, the controller %d."
                            .formatted(planned.size(), done.size());
            return new Result(Double.NaN, List.of(sentence));
        }
        double deviation = 0;
        for (int i = 0; i < planned.size(); i++) {
            deviation = Math.max(deviation, apart(planned.get(i).lower(), done.get(i).lower()));
            deviation = Math.max(deviation, apart(planned.get(i).upper(), done.get(i).upper()));
        }
        return new Result(deviation, List.of());
    }

    private static double apart(Segment a, Segment b) {
        double ends = Math.max(a.start().distance(b.start()), a.end().distance(b.end()));
        return Math.max(ends, a.middle().distance(b.middle()));
    }

    private static List<Ruling> longer(List<Ruling> moves) {
        return moves.stream()
                .filter(r -> r.lower().length() > LEAST || r.upper().length() > LEAST)
                .toList();
    }

    private static List<Ruling> planned(Program wire) {
        List<Ruling> moves = new ArrayList<>();
        for (Item item : wire.items()) {
            if (item instanceof Item.Rapid rapid) {
                moves.add(Ruling.upright(new Line(rapid.from(), rapid.to())));
            } else if (item instanceof Item.Feed feed) {
                moves.add(Ruling.upright(feed.segment()));
            } else if (item instanceof Item.TwoPlane both) {
                moves.add(new Ruling(way(both.lower()), way(both.upper())));
            }
        }
        return moves;
    }

    private static Segment way(Item.Way way) {
        return WireController.segment(way.from(), way.to());
    }
}
