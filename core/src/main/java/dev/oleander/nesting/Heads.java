package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import java.util.Optional;

/**
 * Heads of a machine that cut the same at once, one above the other.
 *
 * @param count how many are used, 2 or more
 * @param pitch mm from one to the next; empty: so that they share the height of each sheet
 * @param least pitch that they can be set to, mm
 * @param most pitch that they can be set to, mm
 */
public record Heads(int count, Optional<Double> pitch, double least, double most) {

    /** mm by which rounding may raise what is needed above what there is. */
    private static final double ROUNDING = 1e-6;

    public Heads {
        if (count < 2) {
            throw new NestException("%d heads at once; 2 or more are.".formatted(count));
        }
        if (pitch.isPresent() && !(pitch.get() >= least && pitch.get() <= most)) {
            throw new NestException(
                    "Heads at a pitch of %s mm: they can be set from %s to %s mm apart."
                            .formatted(pitch.get(), least, most));
        }
    }

    /** Height of what each of them cuts of, mm: neighbours keep the gap, the edges the margin. */
    static double zone(double pitch, double margin, double gap) {
        return pitch + 2 * margin - gap;
    }

    /**
     * Pitch on a sheet, mm.
     *
     * @return empty where they cannot all cut of it
     */
    public Optional<Double> pitchOn(SheetStock stock, NestRules rules) {
        Box sheet = stock.region().box();
        double gap = rules.gap();
        double largest = (sheet.height() - 2 * rules.margin() + gap) / count;
        if (!stock.isPlain() || largest < pitch.orElse(least) - ROUNDING) {
            return Optional.empty();
        }
        double used = pitch.orElse(Math.min(largest, most));
        return Optional.of(used).filter(p -> zone(p, rules.margin(), gap) > 2 * rules.margin());
    }
}
