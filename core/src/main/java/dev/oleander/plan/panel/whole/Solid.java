package dev.oleander.plan.panel.whole;

import dev.oleander.plan.panel.Spot;

/** A box in space along the axes, mm. */
record Solid(Spot least, Spot most) {

    /** Between two corners. */
    static Solid of(Spot a, Spot b) {
        return new Solid(
                new Spot(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.min(a.z(), b.z())),
                new Spot(Math.max(a.x(), b.x()), Math.max(a.y(), b.y()), Math.max(a.z(), b.z())));
    }

    /** What both fill; of no volume where they do not meet. */
    Solid meet(Solid other) {
        Spot from =
                new Spot(
                        Math.max(least.x(), other.least.x()),
                        Math.max(least.y(), other.least.y()),
                        Math.max(least.z(), other.least.z()));
        Spot to =
                new Spot(
                        Math.min(most.x(), other.most.x()),
                        Math.min(most.y(), other.most.y()),
                        Math.min(most.z(), other.most.z()));
        return new Solid(from, to);
    }

    /** mm3; 0 where it is none. */
    double volume() {
        Spot size = most.minus(least);
        boolean none = size.x() <= 0 || size.y() <= 0 || size.z() <= 0;
        return none ? 0 : size.x() * size.y() * size.z();
    }

    boolean contains(Spot place) {
        return place.x() > least.x()
                && place.x() < most.x()
                && place.y() > least.y()
                && place.y() < most.y()
                && place.z() > least.z()
                && place.z() < most.z();
    }
}
