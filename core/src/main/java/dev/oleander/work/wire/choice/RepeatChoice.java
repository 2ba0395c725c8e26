package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.List;

/**
 * How one contour of the drawing is repeated: in rows and columns, or, when {@code count} is set,
 * round a centre. Null where nothing was set; lengths mm, angles degrees, places in the coordinates
 * of the drawing.
 *
 * @param columns along x, with the drawn one
 * @param rows along y, with the drawn one
 * @param pitchX from one column to the next; null: as wide as the contour, and {@link #GAP}
 * @param pitchY from one row to the next; null likewise
 * @param count copies round the centre, with the drawn one
 * @param angle from one copy to the next; null: all lie evenly on a circle
 * @param centre null: the zero of the drawing
 * @param indexed whether a rotary axis turns the work instead of the path
 */
public record RepeatChoice(
        Typed columns,
        Typed rows,
        Typed pitchX,
        Typed pitchY,
        Typed count,
        Typed angle,
        Point centre,
        Boolean indexed) {

    public static final RepeatChoice NOTHING =
            new RepeatChoice(null, null, null, null, null, null, null, null);

    /** mm between copies when no pitch is set. */
    public static final double GAP = 10;

    private static final double FULL = 360;

    /**
     * A copy as seen from the drawn one.
     *
     * @param turn what a rotary axis turns the work by before it, degrees
     */
    public record Shift(Transform transform, double turn) {}

    /**
     * The copies besides the drawn one; none when nothing is repeated.
     *
     * @param drawn box round what is repeated
     */
    public List<Shift> others(Box drawn) {
        return count == null ? grid(drawn) : round();
    }

    private List<Shift> grid(Box drawn) {
        double x = pitchX == null ? drawn.width() + GAP : pitchX.value();
        double y = pitchY == null ? drawn.height() + GAP : pitchY.value();
        List<Shift> others = new ArrayList<>();
        for (int row = 0; row < whole(rows); row++) {
            for (int column = 0; column < whole(columns); column++) {
                if (row + column > 0) {
                    Point by = new Point(column * x, row * y);
                    others.add(new Shift(Transform.translation(by), 0));
                }
            }
        }
        return others;
    }

    private List<Shift> round() {
        int all = whole(count);
        double step = angle == null ? FULL / all : angle.value();
        List<Shift> others = new ArrayList<>();
        for (int i = 1; i < all; i++) {
            others.add(
                    Boolean.TRUE.equals(indexed)
                            ? new Shift(Transform.IDENTITY, i * step)
                            : new Shift(turned(centreOr(), i * step), 0));
        }
        return others;
    }

    /** Turned round a place by degrees. */
    public static Transform turned(Point centre, double degrees) {
        return Transform.translation(centre.times(-1))
                .then(Transform.rotation(Math.toRadians(degrees)))
                .then(Transform.translation(centre));
    }

    public Point centreOr() {
        return centre == null ? Point.ORIGIN : centre;
    }

    private static int whole(Typed typed) {
        return typed == null ? 1 : (int) Math.round(typed.value());
    }

    /** See {@link WireChoice#carried}. */
    RepeatChoice carried(String key, Carrying to) {
        return centre == null ? this : withCentre(to.place(key, centre));
    }

    public RepeatChoice withColumns(Typed value) {
        return new RepeatChoice(value, rows, pitchX, pitchY, count, angle, centre, indexed);
    }

    public RepeatChoice withRows(Typed value) {
        return new RepeatChoice(columns, value, pitchX, pitchY, count, angle, centre, indexed);
    }

    public RepeatChoice withPitchX(Typed value) {
        return new RepeatChoice(columns, rows, value, pitchY, count, angle, centre, indexed);
    }

    public RepeatChoice withPitchY(Typed value) {
        return new RepeatChoice(columns, rows, pitchX, value, count, angle, centre, indexed);
    }

    public RepeatChoice withCount(Typed value) {
        return new RepeatChoice(columns, rows, pitchX, pitchY, value, angle, centre, indexed);
    }

    public RepeatChoice withAngle(Typed value) {
        return new RepeatChoice(columns, rows, pitchX, pitchY, count, value, centre, indexed);
    }

    public RepeatChoice withCentre(Point value) {
        return new RepeatChoice(columns, rows, pitchX, pitchY, count, angle, value, indexed);
    }

    public RepeatChoice withIndexed(Boolean value) {
        return new RepeatChoice(columns, rows, pitchX, pitchY, count, angle, centre, value);
    }
}
