package dev.oleander.winding.pattern;

import java.util.BitSet;

/**
 * How circuits follow each other round the mandrel: closed when n of them turn it W times.
 *
 * @param circuits n
 * @param turns W
 * @param starts p, fewest circuits after which a neighbour of the first is laid
 * @param starStep k mod p: the order in which the starts of the star {p/k} come
 * @param leading whether that neighbour lies ahead of it
 */
public record Pattern(int circuits, int turns, int starts, int starStep, boolean leading) {

    /**
     * p W - k n = 1 for what leads, -1 for what lags.
     *
     * @throws IllegalArgumentException when they have a common divisor
     */
    public static Pattern of(int circuits, int turns) {
        if (!isClosed(circuits, turns)) {
            throw new IllegalArgumentException(turns + " turns do not close " + circuits);
        }
        int ahead = inverse(turns, circuits);
        int behind = circuits - ahead;
        boolean leading = ahead <= behind;
        int p = circuits == 1 ? 1 : Math.min(ahead, behind);
        long k = ((long) p * turns + (leading ? -1 : 1)) / circuits;
        return new Pattern(circuits, turns, p, (int) (k % p), leading);
    }

    public static boolean isClosed(int circuits, int turns) {
        return circuits > 0 && turns > 0 && gcd(circuits, turns) == 1;
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** p with p W = 1 modulo n. */
    private static int inverse(int turns, int circuits) {
        for (int p = 1; p <= circuits; p++) {
            if ((long) p * turns % circuits == 1 % circuits) {
                return p;
            }
        }
        throw new IllegalStateException("no inverse of " + turns + " modulo " + circuits);
    }

    /** By listing the slots: whether each band lies in one of its own. */
    public static boolean eachOnce(int circuits, int turns) {
        BitSet slots = new BitSet(circuits);
        for (int j = 0; j < circuits; j++) {
            int slot = (int) ((long) j * turns % circuits);
            if (slots.get(slot)) {
                return false;
            }
            slots.set(slot);
        }
        return slots.cardinality() == circuits;
    }

    /**
     * How often bands cross each other: n on each circle of whole numbers between both dwells.
     *
     * @param dwellRight radians
     */
    public long crossings(double dwellRight, double dwellLeft) {
        double low = circuits * dwellRight / (2 * Math.PI);
        double high = turns - circuits * dwellLeft / (2 * Math.PI);
        long circles = (long) Math.ceil(high - 1e-9) - 1 - (long) Math.floor(low + 1e-9);
        return circuits * Math.max(0, circles);
    }

    /** For people and programs. */
    public String sense() {
        return leading ? "leading" : "lagging";
    }
}
