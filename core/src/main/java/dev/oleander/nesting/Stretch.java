package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.List;

/**
 * Part of the length of a sheet: what several heads cut at once, and beside it what one head cuts
 * of the same sheet.
 *
 * @param heads that cut at once, one above the other; parts lie in the zone of the lowest
 * @param pitch mm from one head to the next; 0 with one head
 * @param from mm from the left edge of the sheet
 * @param to mm from the left edge; null: the right edge
 */
public record Stretch(int heads, double pitch, double from, Double to) {

    /** All of a sheet, by one head. */
    public static final Stretch WHOLE = new Stretch(1, 0, 0, null);

    public Stretch {
        boolean sound = heads >= 1 && from >= 0 && (heads == 1) == (pitch == 0) && pitch >= 0;
        if (!sound || to != null && !(to > from)) {
            throw new NestException(
                    "%d heads at a pitch of %s mm, from %s to %s mm of a sheet."
                            .formatted(heads, pitch, from, to));
        }
    }

    /** Several heads over the whole length. */
    public static Stretch of(Heads heads, double pitch) {
        return new Stretch(heads.count(), pitch, 0, null);
    }

    /** The same as far as a place. */
    public Stretch upTo(Double place) {
        return new Stretch(heads, pitch, from, place);
    }

    /** The same from a place on. */
    public Stretch beginning(double place) {
        return new Stretch(heads, pitch, place, to);
    }

    /** Whether it is the last of its sheet: every sheet has one such. */
    public boolean reachesEnd() {
        return to == null;
    }

    /**
     * The sheet as far as it may be used: by several heads the zone of the lowest. Where something
     * else of the sheet begins, or the zone of the next head, it goes on so far that parts which
     * keep the margin from its edges keep the gap from what lies there.
     *
     * @param gap the largest of all parts, mm
     */
    public SheetStock of(SheetStock whole, NestRules rules, double gap) {
        if (equals(WHOLE)) {
            return whole;
        }
        double more = rules.margin() - gap / 2;
        Box sheet = stretch(whole);
        double left = sheet.min().x() - (from > 0 ? more : 0);
        double right = sheet.max().x() + (to == null ? 0 : more);
        double bottom = sheet.min().y();
        double top = heads == 1 ? sheet.max().y() : bottom + Heads.zone(pitch, rules.margin(), gap);
        return cut(whole, new Box(new Point(left, bottom), new Point(right, top)));
    }

    /** In its full height and from edge to edge: what it is paid for. */
    SheetStock full(SheetStock whole) {
        return equals(WHOLE) ? whole : cut(whole, stretch(whole));
    }

    private SheetStock cut(SheetStock whole, Box box) {
        return new SheetStock(
                "%s %d %s-%s".formatted(whole.id(), heads, from, to),
                new Region(Contour.rectangle(box), List.of()),
                whole.count(),
                whole.price() * share(whole),
                whole.grain(),
                whole.remnant());
    }

    private Box stretch(SheetStock whole) {
        Box sheet = whole.region().box();
        double left = sheet.min().x() + from;
        double right = to == null ? sheet.max().x() : sheet.min().x() + to;
        return new Box(new Point(left, sheet.min().y()), new Point(right, sheet.max().y()));
    }

    /** Share of the sheet, 0 to 1. */
    private double share(SheetStock whole) {
        return stretch(whole).width() / whole.region().box().width();
    }
}
