package dev.oleander.drawing.code;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** What dark modules look like as line work, the lower left corner of the code at (0, 0). */
public final class CodeOutlines {

    /** x and y of the neighbours across an edge, in the order right, up, left, down. */
    private static final int[][] SIDES = {{1, 0}, {0, 1}, {-1, 0}, {0, -1}};

    private final Modules modules;
    private final double module;

    /**
     * @param module width of one, mm
     */
    public CodeOutlines(Modules modules, double module) {
        this.modules = modules;
        this.module = module;
    }

    /**
     * A circle in the middle of each dark module.
     *
     * @param diameter mm
     */
    public List<Contour> dots(double diameter) {
        List<Contour> all = new ArrayList<>();
        for (int y = 0; y < modules.height(); y++) {
            for (int x = 0; x < modules.width(); x++) {
                if (modules.isDark(x, y)) {
                    Point middle = new Point((x + 0.5) * module, (y + 0.5) * module);
                    all.add(Contour.circle(middle, diameter / 2));
                }
            }
        }
        return all;
    }

    /**
     * Contours round dark modules that share an edge; those that only share a corner stay apart by
     * a gap at it.
     *
     * @param gap mm that contours lie within the modules
     */
    public List<Contour> squares(double gap) {
        List<Contour> all = new ArrayList<>();
        // edges that have been gone along, by side of the module they bound
        boolean[][][] gone = new boolean[SIDES.length][modules.height()][modules.width()];
        for (int y = 0; y < modules.height(); y++) {
            for (int x = 0; x < modules.width(); x++) {
                for (int side = 0; side < SIDES.length; side++) {
                    if (isEdge(x, y, side) && !gone[side][y][x]) {
                        all.add(round(x, y, side, gone, gap));
                    }
                }
            }
        }
        return all;
    }

    private boolean isEdge(int x, int y, int side) {
        return modules.isDark(x, y) && !modules.isDark(x + SIDES[side][0], y + SIDES[side][1]);
    }

    /** Along an edge with what is dark to the left, then the sharpest way that keeps to it. */
    private Contour round(int fromX, int fromY, int fromSide, boolean[][][] gone, double gap) {
        List<Point> corners = new ArrayList<>();
        int x = fromX;
        int y = fromY;
        int side = fromSide;
        do {
            gone[side][y][x] = true;
            // with the edge on the right side upwards, on the upper one to the left, and so on
            int[] way = SIDES[(side + 1) % 4];
            boolean ahead = modules.isDark(x + way[0], y + way[1]);
            boolean beside =
                    modules.isDark(x + way[0] + SIDES[side][0], y + way[1] + SIDES[side][1]);
            if (!ahead) {
                corners.add(corner(x, y, side, gap));
                side = (side + 1) % 4;
            } else if (beside) {
                x += way[0] + SIDES[side][0];
                y += way[1] + SIDES[side][1];
                side = (side + 3) % 4;
                corners.add(inner(x, y, side, gap));
            } else {
                x += way[0];
                y += way[1];
            }
        } while (x != fromX || y != fromY || side != fromSide);
        return closed(corners);
    }

    /** Where the edge on a side of a module ends, going round it to the left. */
    private Point corner(int x, int y, int side, double gap) {
        int[] out = SIDES[side];
        int[] on = SIDES[(side + 1) % 4];
        double half = 0.5 * module - gap;
        return new Point(
                (x + 0.5) * module + (out[0] + on[0]) * half,
                (y + 0.5) * module + (out[1] + on[1]) * half);
    }

    /** Where an edge on a side of a module begins behind an inner corner. */
    private Point inner(int x, int y, int side, double gap) {
        int[] out = SIDES[side];
        int[] on = SIDES[(side + 1) % 4];
        double edge = 0.5 * module - gap;
        double back = 0.5 * module + gap;
        return new Point(
                (x + 0.5) * module + out[0] * edge - on[0] * back,
                (y + 0.5) * module + out[1] * edge - on[1] * back);
    }

    private static Contour closed(List<Point> corners) {
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            lines.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Contour(lines);
    }
}
