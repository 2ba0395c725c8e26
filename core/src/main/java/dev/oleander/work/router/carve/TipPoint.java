package dev.oleander.work.router.carve;

/**
 * A place of the tip.
 *
 * @param depth below the top, mm
 */
public record TipPoint(double x, double y, double depth) {

    public double distance(TipPoint other) {
        double flat = Math.hypot(x - other.x, y - other.y);
        return Math.hypot(flat, depth - other.depth);
    }

    TipPoint middle(TipPoint other) {
        return new TipPoint((x + other.x) / 2, (y + other.y) / 2, (depth + other.depth) / 2);
    }
}
