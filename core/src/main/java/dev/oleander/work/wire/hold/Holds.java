package dev.oleander.work.wire.hold;

import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.cut.WireSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** Where a profile stays uncut, and where passes begin and end beside that. */
public final class Holds {

    private Holds() {}

    /** An uncut stretch, mm along the travel. */
    public record Hold(double from, double to) {}

    /**
     * Where passes begin and end, mm along the travel: away from corners, where a piece of an
     * element would have no length left.
     *
     * @param overlap past the joint
     * @param beforeHold by hold, where its skims begin
     * @param last from where on the machine has waited
     */
    public record Ends(double overlap, List<Double> beforeHold, double last) {

        public static Ends of(
                WireSettings settings, double length, List<Hold> holds, DoubleUnaryOperator away) {
            double overlap = Math.max(0, away.applyAsDouble(settings.overlap()));
            List<Double> before =
                    holds.stream()
                            .map(
                                    h ->
                                            Math.max(
                                                    0,
                                                    away.applyAsDouble(
                                                            h.from() - settings.overlap())))
                            .toList();
            double last = away.applyAsDouble(length - settings.hold());
            return new Ends(settings.overlap() == 0 ? 0 : overlap, before, last);
        }

        /** All of them, with the holds. */
        public List<Double> places(WireSettings settings, double length, List<Hold> holds) {
            List<Double> places = new ArrayList<>(beforeHold);
            places.add(overlap);
            for (Hold hold : holds) {
                places.add(hold.from());
                places.add(hold.to());
            }
            if (settings.slug() == SlugHandling.STOP_BEFORE) {
                places.add(last);
            }
            places.removeIf(p -> !(p > 0 && p < length));
            return places;
        }
    }

    /**
     * All holds of a stop; the last one ends at the start of the profile.
     *
     * @param clear mm that holds keep away from corners
     */
    public static List<Hold> of(
            WireSettings settings,
            double length,
            Stretches stretches,
            double start,
            boolean forward,
            double clear) {
        List<Hold> holds = new ArrayList<>();
        if (!settings.slug().holds()) {
            return holds;
        }
        double width = settings.hold();
        if (settings.slug() == SlugHandling.HOLDS) {
            for (double drawn : middles(settings, length, start, forward)) {
                String what = "a hold of %s mm".formatted(Numbers.plain(width, 2));
                double placed = stretches.place(turned(drawn, length), width + 2 * clear, what);
                double along = forward ? placed - start : start - placed;
                double at = turned(along, length);
                boolean apart = at - width > 0 && at + width / 2 < length - width;
                if (apart
                        && holds.stream()
                                .noneMatch(h -> Math.abs(h.from() + width / 2 - at) < 2 * width)) {
                    holds.add(new Hold(at - width / 2, at + width / 2));
                }
            }
        }
        holds.sort(Comparator.comparingDouble(Hold::from));
        holds.add(new Hold(length - width, length));
        return holds;
    }

    /** Distances along the drawn contour. */
    private static List<Double> middles(
            WireSettings settings, double length, double start, boolean forward) {
        if (!settings.holdAt().isEmpty()) {
            return settings.holdAt().stream().map(t -> t.value()).toList();
        }
        List<Double> middles = new ArrayList<>();
        for (int i = 1; i < settings.holds(); i++) {
            double along = length * i / settings.holds() - settings.hold() / 2;
            middles.add(forward ? start + along : start - along);
        }
        return middles;
    }

    private static double turned(double distance, double length) {
        return ((distance % length) + length) % length;
    }
}
