package dev.oleander.geometry.axis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the largest discs touch that touch one site: along it the radius is the least of those of
 * all others, each known in closed form, so that places where two of them meet are found by halving
 * only. Not a sweep: each place is asked for with an index of the whole border.
 */
final class Envelope {

    /** Share of a site at its ends where discs are too small to tell what they touch. */
    static final double END = 1e-7;

    /** Share of a site; stretches that are shorter are one place. */
    private static final double SHORT = 1e-9;

    /**
     * Share of a site to which a place is found where two others are as near: beside two corners
     * that all but touch, the radius changes ten thousand times as fast as the place.
     */
    private static final double EXACT = 1e-14;

    /** Share of a radius by which another one must be less to come first. */
    private static final double LESS = 1e-10;

    /** mm, or share of a radius, by which two radii may differ where they are said to be equal. */
    private static final double EQUAL = 1e-5;

    private static final int HALVINGS = 60;

    /** How often what lies between two places that touch the same is looked at. */
    private static final int LOOKS = 3;

    private final Border border;
    private final int site;
    private final Foot foot = new Foot();
    private final List<Stretch> stretches = new ArrayList<>();

    /** From one place of the site to another all discs touch the same. */
    record Stretch(int site, double from, double to, int other) {}

    private record Place(double s, double radius, int other) {}

    Envelope(Border border, int site) {
        this.border = border;
        this.site = site;
    }

    /** In their order, without those in which nothing else is touched: the middle of an arc. */
    List<Stretch> stretches() {
        Place first = place(END, border.most(site), site);
        Place last = place(1 - END, border.most(site), site);
        between(first, last, LOOKS);
        return merged();
    }

    /** The largest disc at a place. */
    private Place place(double s, double most, int limit) {
        border.foot(site, s, foot);
        Border.Disc disc = new Border.Disc();
        disc.radius = most;
        disc.site = limit;
        border.shrink(site, foot, disc);
        return new Place(s, disc.radius, disc.site);
    }

    /** The same, beginning with what may be touched there. */
    private Place place(double s, Place a, Place b) {
        border.foot(site, s, foot);
        double ra = radius(a.other);
        double rb = radius(b.other);
        return ra <= rb ? place(s, ra, a.other) : place(s, rb, b.other);
    }

    /** Of the disc at the foot that touches another site. */
    private double radius(int other) {
        double most = border.most(site);
        return other == site ? most : Math.min(most, border.touching(other, foot));
    }

    private void between(Place a, Place b, int looks) {
        if (b.s - a.s < SHORT) {
            return;
        }
        if (a.other == b.other) {
            within(a, b, looks);
            return;
        }
        Optional<Place> meeting = meeting(a, b);
        if (meeting.isEmpty()) {
            // one of them is not touched as far as that: something else comes between
            Place middle = place((a.s + b.s) / 2, a, b);
            between(a, middle, looks);
            between(middle, b, looks);
            return;
        }
        Place met = meeting.get();
        if (met.other != a.other && met.other != b.other) {
            between(a, met, looks);
            between(met, b, looks);
        } else {
            between(a, new Place(met.s, met.radius, a.other), looks);
            between(new Place(met.s, met.radius, b.other), b, looks);
        }
    }

    /** Where the same is touched at both ends, and perhaps something else between them. */
    private void within(Place a, Place b, int looks) {
        if (looks == 0) {
            stretches.add(new Stretch(site, a.s, b.s, a.other));
            return;
        }
        Place middle = place((a.s + b.s) / 2, a, b);
        int left = middle.other == a.other ? looks - 1 : LOOKS;
        between(a, middle, left);
        between(middle, b, left);
    }

    /**
     * Where what is touched first is as near as what is touched last, or something comes first;
     * empty when there is no such place.
     */
    private Optional<Place> meeting(Place a, Place b) {
        double low = a.s;
        double high = b.s;
        for (int k = 0; k < HALVINGS && high - low > EXACT; k++) {
            double s = (low + high) / 2;
            border.foot(site, s, foot);
            boolean first = radius(a.other) <= radius(b.other);
            low = first ? s : low;
            high = first ? high : s;
        }
        double s = (low + high) / 2;
        border.foot(site, s, foot);
        double ra = radius(a.other);
        double rb = radius(b.other);
        if (Math.abs(ra - rb) > EQUAL * Math.max(1, Math.min(ra, rb))) {
            return Optional.empty();
        }
        double both = Math.min(ra, rb);
        Place found = place(s, a, b);
        return Optional.of(found.radius < both * (1 - LESS) ? found : new Place(s, both, a.other));
    }

    private List<Stretch> merged() {
        List<Stretch> all = new ArrayList<>();
        for (Stretch one : stretches) {
            int last = all.size() - 1;
            if (last >= 0 && all.get(last).other == one.other) {
                Stretch before = all.get(last);
                all.set(last, new Stretch(site, before.from, one.to, one.other));
            } else {
                all.add(one);
            }
        }
        all.removeIf(one -> one.other == site);
        return all;
    }
}
