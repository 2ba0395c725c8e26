package dev.oleander.dialect;

import dev.oleander.dialect.ReadBack.Problem;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What a reader has understood so far, and what not. */
final class ReadItems {

    /** An arc's ends may lie this many steps of the coordinates off its circle. */
    private static final double STEPS_OFF = 4;

    private static final String NO_FEED = "no feed was given yet.";

    private final double resolution;
    private final List<Item> items = new ArrayList<>();
    private final List<Integer> lineOfItem = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private Point at = Point.ORIGIN;
    private Point lean = Point.ORIGIN;
    private Pose pose = Pose.FLAT;
    private Pose after = Pose.FLAT;
    private boolean on;
    private int line;
    private int reading;
    private boolean givenUp;

    /**
     * @param resolution smallest step of coordinates, mm
     */
    ReadItems(double resolution) {
        this.resolution = resolution;
    }

    /** What follows stands on this line, counted from 1. */
    void atLine(int number) {
        line = number;
        reading = number;
    }

    /** What is not understood from here on stands on this line, though another one calls it. */
    void readingLine(int number) {
        reading = number;
    }

    Point at() {
        return at;
    }

    void goTo(Point place) {
        at = place;
    }

    ReadBack readBack() {
        return new ReadBack(new Program(items), lineOfItem, problems, isFull());
    }

    /** Whether nothing more is to be read. */
    boolean isFull() {
        return givenUp || problems.size() >= ReadBack.MOST_PROBLEMS;
    }

    /** Nothing is read from here on. */
    void giveUp(String sentence) {
        problem(1, sentence);
        givenUp = true;
    }

    void problem(int column, String sentence) {
        if (!isFull()) {
            problems.add(new Problem(reading, column, sentence));
        }
    }

    void event(EventKind kind, Map<String, Double> values) {
        if (kind == EventKind.HEIGHT) {
            // a tool that is below the surface works
            on = values.getOrDefault("height", 0.0) < 0;
        } else {
            on = kind.isOn() || (on && !kind.isOff());
        }
        add(new Item.Event(kind, values, Origin.FRAME));
    }

    /** Height and turn of the last move. */
    Pose pose() {
        return pose;
    }

    /** The next move ends at this height and turn. */
    ReadItems towards(Pose end) {
        after = end;
        return this;
    }

    /** Whether the next move ends at another height or turn. */
    boolean changesPose() {
        return !pose.equals(after);
    }

    private Rise rise() {
        boolean flat = pose.equals(Pose.FLAT) && after.equals(Pose.FLAT);
        Rise rise = flat ? Rise.FLAT : new Rise(pose, after);
        pose = after;
        return rise;
    }

    void rapid(Point to) {
        add(new Item.Rapid(at, to, rise(), Origin.FRAME));
    }

    void line(Point to, double feed, int column) {
        if (to.equals(at) && !pose.equals(after)) {
            plunge(feed, column);
        } else {
            feed(new Line(at, to), feed, column);
        }
    }

    private void plunge(double feed, int column) {
        if (feed > 0) {
            add(new Item.Plunge(at, rise(), feed, on, Origin.FRAME));
        } else {
            problem(column, NO_FEED);
        }
    }

    /** What follows says itself whether the process works. */
    ReadItems at(boolean working) {
        on = working;
        return this;
    }

    /** How far the upper guide is off the lower one, mm. */
    Point lean() {
        return lean;
    }

    /** Both guides move, the upper one to so far off the lower one. */
    void twoPlane(Point to, Point newLean, double feed, int column) {
        Item.Way lower = new Item.Way(at, to);
        Item.Way upper = new Item.Way(at.plus(lean), to.plus(newLean));
        if (!(feed > 0)) {
            problem(column, NO_FEED);
        } else if (lower.length() == 0 && upper.length() == 0) {
            problem(column, "the block moves nowhere.");
        } else {
            add(new Item.TwoPlane(lower, upper, feed, on, Origin.FRAME));
        }
        lean = newLean;
    }

    /** An arc about a centre that its ends must agree with. */
    void arc(Point to, Point centre, boolean left, double feed, int column) {
        double off = Math.abs(centre.distance(at) - centre.distance(to));
        double allowed = STEPS_OFF * resolution;
        if (off > allowed) {
            problem(
                    column,
                    "start and end of the arc lie %s mm apart in radius, allowed are %s mm."
                            .formatted(Numbers.plain(off, 4), Numbers.plain(allowed, 4)));
            return;
        }
        Point a = at.minus(centre);
        Point b = to.minus(centre);
        double turn = Math.atan2(a.cross(b), a.dot(b));
        double sweep =
                left
                        ? turn <= 0 ? turn + 2 * Math.PI : turn
                        : turn >= 0 ? turn - 2 * Math.PI : turn;
        bulged(to, Math.tan(sweep / 4), feed, column);
    }

    /**
     * An arc of a radius.
     *
     * @param radius mm; below 0: the longer way round
     */
    void arcByRadius(Point to, double radius, boolean left, double feed, int column) {
        double half = at.distance(to) / 2;
        double size = Math.abs(radius);
        if (half > size + STEPS_OFF * resolution) {
            problem(
                    column,
                    "the ends of the arc lie %s mm apart, more than twice its radius of %s mm."
                            .formatted(Numbers.plain(2 * half, 4), Numbers.plain(size, 4)));
            return;
        }
        double quarter = Math.tan(Math.asin(Math.min(1, half / size)) / 2);
        double bulge = radius < 0 ? 1 / quarter : quarter;
        bulged(to, left ? bulge : -bulge, feed, column);
    }

    private void bulged(Point to, double bulge, double feed, int column) {
        if (bulge == 0 || !Double.isFinite(bulge)) {
            problem(column, "this is not an arc.");
        } else {
            feed(new Arc(at, to, bulge), feed, column);
        }
    }

    private void feed(Segment segment, double feed, int column) {
        if (!(feed > 0)) {
            problem(column, NO_FEED);
            return;
        }
        add(new Item.Feed(segment, rise(), feed, on, Origin.FRAME));
    }

    private void add(Item item) {
        items.add(item);
        lineOfItem.add(line);
    }
}
