package dev.oleander.drawing.draw;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Worded;

/**
 * What is taken hold of on the table to change values of a step.
 *
 * @param name by which the step knows it
 * @param label what it changes, as people read it
 * @param about for {@link Kind#AWAY} and {@link Kind#ROUND} where it is measured from; for {@link
 *     Kind#STRIP} the other end
 * @param width of a strip, mm; 0 of others
 */
public record Handle(String name, String label, Kind kind, Point at, Point about, double width) {

    /** What it does when it is moved. */
    public enum Kind implements Worded {
        /** it goes where it is put */
        PLACE,
        /** its distance from something counts */
        AWAY,
        /** its direction from something counts */
        ROUND,
        /** a strip that is moved as a whole, and may be taken away */
        STRIP
    }

    static Handle place(String name, String label, Point at) {
        return new Handle(name, label, Kind.PLACE, at, at, 0);
    }

    static Handle away(String name, String label, Point at, Point from) {
        return new Handle(name, label, Kind.AWAY, at, from, 0);
    }

    static Handle round(String name, String label, Point at, Point about) {
        return new Handle(name, label, Kind.ROUND, at, about, 0);
    }
}
