package dev.oleander.winding.surface;

/** Places of a mandrel that people speak of. */
public final class Stretches {

    /** A radius that is this near the greatest is it, mm. */
    private static final double NEAR = 1e-6;

    private static final int STEPS = 64;

    /** Where the mandrel has its greatest radius, mm of meridian: both shoulders. */
    public record Widest(double from, double to) {

        public double middle() {
            return (from + to) / 2;
        }
    }

    private Stretches() {}

    /** The longest stretch of greatest radius; a place when there is no stretch. */
    public static Widest widest(Meridian meridian) {
        double greatest = meridian.greatestRadius();
        double at = 0;
        double begin = Double.NaN;
        Widest best = null;
        double last = 0;
        for (Piece piece : meridian.pieces()) {
            for (int i = 0; i <= STEPS; i++) {
                double m = at + piece.length() * i / STEPS;
                boolean wide = greatest - piece.at(piece.length() * i / STEPS).r() <= NEAR;
                if (wide && Double.isNaN(begin)) {
                    begin = m;
                }
                if (wide) {
                    last = m;
                } else if (!Double.isNaN(begin)) {
                    best = longer(best, new Widest(begin, last));
                    begin = Double.NaN;
                }
            }
            at += piece.length();
        }
        if (!Double.isNaN(begin)) {
            best = longer(best, new Widest(begin, last));
        }
        return best == null ? peak(meridian, greatest) : best;
    }

    private static Widest longer(Widest a, Widest b) {
        return a == null || b.to() - b.from() > a.to() - a.from() ? b : a;
    }

    private static Widest peak(Meridian meridian, double greatest) {
        double m = meridian.nearest(p -> greatest - p.r());
        return new Widest(m, m);
    }
}
