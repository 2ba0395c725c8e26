package dev.oleander.machine;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;

/** The edge at which the stock is held; across from it, it is loose. */
public enum HeldEdge {
    LEFT,
    RIGHT,
    BOTTOM,
    TOP,
    /** It only lies there, as firm in one place as in another. */
    NONE;

    /**
     * How loose the stock is at a point: 0 at the held edge, 1 at the one across and beyond it.
     *
     * @param stock in the coordinates of the point
     */
    public double looseness(Box stock, Point point) {
        double off =
                switch (this) {
                    case LEFT -> (point.x() - stock.min().x()) / stock.width();
                    case RIGHT -> (stock.max().x() - point.x()) / stock.width();
                    case BOTTOM -> (point.y() - stock.min().y()) / stock.height();
                    case TOP -> (stock.max().y() - point.y()) / stock.height();
                    case NONE -> 0;
                };
        return Math.max(0, Math.min(1, off));
    }

    /** The place on the held edge, of a stock that is held, that is nearest to a point. */
    public Point nearest(Box stock, Point point) {
        double x = Math.max(stock.min().x(), Math.min(stock.max().x(), point.x()));
        double y = Math.max(stock.min().y(), Math.min(stock.max().y(), point.y()));
        return switch (this) {
            case LEFT -> new Point(stock.min().x(), y);
            case RIGHT -> new Point(stock.max().x(), y);
            case BOTTOM -> new Point(x, stock.min().y());
            case TOP -> new Point(x, stock.max().y());
            case NONE -> point;
        };
    }
}
