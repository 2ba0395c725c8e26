package dev.oleander.proof.rule;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Axis;
import dev.oleander.machine.Machine;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Rise;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Heights and turns lie within what the axes reach, and the machine has those axes. */
public final class AxisRule implements ProofRule {

    /** Beyond a limit by less than any control shows, mm or degrees. */
    private static final double SLACK = 1e-6;

    @Override
    public String id() {
        return "axis";
    }

    @Override
    public String title() {
        return "heights and turns lie within what the axes reach";
    }

    @Override
    public Outcome check(ProofInput input) {
        Machine machine = input.run().machine();
        Map<String, Beyond> worst = new LinkedHashMap<>();
        int checked = 0;
        Point place = null;
        for (Item item : input.program().items()) {
            place = placeOf(item, place);
            if (item.rise() == Rise.FLAT) {
                continue;
            }
            checked++;
            for (Axis.Name axis : Axis.Name.values()) {
                note(worst, machine, axis, item, place);
            }
        }
        List<Finding> findings = new ArrayList<>();
        for (Beyond beyond : worst.values()) {
            findings.add(beyond.told(machine, Optional.ofNullable(input.stops().get(beyond.stop))));
        }
        return new Outcome(checked, findings);
    }

    private static void note(
            Map<String, Beyond> worst, Machine machine, Axis.Name axis, Item item, Point place) {
        for (Pose pose : List.of(item.rise().from(), item.rise().to())) {
            double value = axis == Axis.Name.Z ? pose.z() : pose.turn();
            Beyond.of(machine.axis(axis), axis, value, item.origin().stop(), place)
                    .ifPresent(b -> worst.merge(axis + b.stop, b, Beyond::further));
        }
    }

    private static Point placeOf(Item item, Point before) {
        if (item instanceof Item.Rapid rapid) {
            return rapid.to();
        }
        return item instanceof Item.AtFeed move ? move.end() : before;
    }

    /**
     * A value out of reach.
     *
     * @param limit the end of the axis that it lies beyond; 0 without such an axis
     */
    private record Beyond(
            Axis.Name axis, boolean exists, double value, double limit, String stop, Point place) {

        static Optional<Beyond> of(
                Optional<Axis> axis, Axis.Name name, double value, String stop, Point place) {
            double least = axis.map(Axis::least).orElse(0.0);
            double most = axis.map(Axis::most).orElse(0.0);
            double limit = Math.min(most, Math.max(least, value));
            return Math.abs(value - limit) <= SLACK
                    ? Optional.empty()
                    : Optional.of(new Beyond(name, axis.isPresent(), value, limit, stop, place));
        }

        private double by() {
            return Math.abs(value - limit);
        }

        Beyond further(Beyond other) {
            return other.by() > by() ? other : this;
        }

        Finding told(Machine machine, Optional<Stop> of) {
            String who = of.map(ProofInput::named).orElse("The program");
            String where = axis.label() + " " + number(value);
            String sentence =
                    exists
                            ? "%s goes to %s; %s reaches %s."
                                    .formatted(who, where, machine.name(), number(limit))
                            : "%s goes to %s; %s has no such axis."
                                    .formatted(who, where, machine.name());
            return Finding.of(Severity.MUST_FIX, stop, place, value, limit, sentence);
        }

        private String number(double amount) {
            return Numbers.plain(amount, 3) + " " + axis.unit();
        }
    }
}
