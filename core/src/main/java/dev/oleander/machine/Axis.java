package dev.oleander.machine;

import dev.oleander.quantity.Named;

/**
 * Limits of an axis besides X and Y.
 *
 * @param name which it is
 * @param least lowest place it reaches, mm or degrees
 * @param most highest place it reaches
 * @param rapid fastest, mm/min or degrees/min
 * @param acceleration mm/s2 or degrees/s2
 * @param jump by how much its speed may change at once where two moves meet, mm/s or degrees/s
 */
public record Axis(
        Name name, double least, double most, double rapid, double acceleration, double jump) {

    /** The axes there can be. */
    public enum Name implements Named {
        /** up and down */
        Z("Z", "mm"),
        /** turns the work */
        ROTARY("rotary axis", "°");

        private final String label;
        private final String unit;

        Name(String label, String unit) {
            this.label = label;
            this.unit = unit;
        }

        @Override
        public String label() {
            return label;
        }

        public String unit() {
            return unit;
        }
    }

    /** Fastest, mm/s or degrees/s. */
    public double rapidPerSecond() {
        return rapid / 60;
    }

    public Axis {
        boolean moves = rapid > 0 && acceleration > 0 && jump >= 0 && least < most;
        if (!moves) {
            throw new IllegalArgumentException(
                    "an axis %s from %s to %s with %s and %s"
                            .formatted(name, least, most, rapid, acceleration));
        }
    }
}
