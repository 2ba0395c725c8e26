package dev.oleander.drawing.picture;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Where ink meets paper: closed ways between the middles of pixels, with the ink on the left
 * (marching squares, W. E. Lorensen, H. E. Cline, 1987, in the plane). Pixels are squares of 1; x
 * counts from the left of the picture, y from its lower edge.
 */
final class Edges {

    /** Of the directions right, up, left and down. */
    private static final int DOWN = 3;

    /** Steps of cells in each direction, rows counting down. */
    private static final int[] DX = {1, 0, -1, 0};

    private static final int[] DY = {0, -1, 0, 1};

    /**
     * Corners of a cell (0, 1 above; 2, 3 below) as seen on the way through it: left and right
     * where it is entered, left and right ahead.
     */
    private static final int[][] CORNERS = {{0, 2, 1, 3}, {2, 3, 0, 1}, {3, 1, 2, 0}, {1, 0, 3, 2}};

    /** How much more levels change beside a way than along it, where it follows the edge. */
    private static final double ALONG = 1.2;

    private final Ink ink;
    private final Kind kind;

    /** Down ways over the line between two pixels of a row. */
    private final BitSet seen;

    private Edges(Ink ink, Kind kind) {
        this.ink = ink;
        this.kind = kind;
        this.seen = new BitSet((ink.width() + 1) * ink.height());
    }

    /** What the edges of a picture are like. */
    enum Kind {
        /** There is nothing between ink and paper: edges lie half way. */
        STEPPED,

        /** Levels are not worth much: only the two nearest to the threshold are looked at. */
        NOISY,

        /** Levels say how much of a pixel is covered. */
        SHARP
    }

    static List<Loop> of(Ink ink, Kind kind) {
        return new Edges(ink, kind).loops();
    }

    private List<Loop> loops() {
        List<Loop> loops = new ArrayList<>();
        for (int y = 0; y < ink.height(); y++) {
            boolean before = false;
            for (int x = 0; x < ink.width(); x++) {
                boolean is = ink.is(x, y);
                if (is && !before && !seen.get(bit(x - 1, y))) {
                    loops.add(loop(x - 1, y));
                }
                before = is;
            }
        }
        return loops;
    }

    private int bit(int x, int y) {
        return y * (ink.width() + 1) + x + 1;
    }

    /** The way that goes down between a pixel of paper and the one of ink on its right. */
    private Loop loop(int x, int y) {
        Loop.Growing points = new Loop.Growing();
        int cellX = x;
        int cellY = y;
        int way = DOWN;
        double[] over = new double[4];
        do {
            corners(cellX, cellY, over);
            int[] seenFrom = CORNERS[way];
            boolean left = over[seenFrom[2]] > 0;
            boolean right = over[seenFrom[3]] > 0;
            int turn;
            if (left == right) {
                turn = left ? -1 : 1;
            } else {
                turn = left ? 0 : saddle(over);
            }
            int ink1 = turn == 1 ? seenFrom[0] : turn == 0 ? seenFrom[2] : seenFrom[3];
            int paper = turn == 1 ? seenFrom[2] : turn == 0 ? seenFrom[3] : seenFrom[1];
            way = (way + turn + 4) % 4;
            add(points, cellX, cellY, ink1, paper, over);
            cellX += DX[way];
            cellY += DY[way];
            if (way == DOWN) {
                seen.set(bit(cellX, cellY));
            }
        } while (!(way == DOWN && cellX == x && cellY == y));
        return points.loop();
    }

    /** Ink and paper over corners: they hang together as the mean of the four says. */
    private static int saddle(double[] over) {
        return over[0] + over[1] + over[2] + over[3] > 0 ? -1 : 1;
    }

    private void corners(int x, int y, double[] over) {
        over[0] = ink.over(x, y);
        over[1] = ink.over(x + 1, y);
        over[2] = ink.over(x, y + 1);
        over[3] = ink.over(x + 1, y + 1);
    }

    private void add(
            Loop.Growing points, int cellX, int cellY, int dark, int paper, double[] over) {
        int dx = paper % 2 - dark % 2;
        int dy = paper / 2 - dark / 2;
        int x = cellX + dark % 2;
        int y = cellY + dark / 2;
        double share = kind == Kind.STEPPED ? 0.5 : over[dark] / (over[dark] - over[paper]);
        if (kind == Kind.SHARP) {
            if (isAlong(x, y, dx, dy)) {
                // ways that follow the edge say less of where it is than those across it
                return;
            }
            double covered = Coverage.edge(ink, x, y, dx, dy);
            share = Double.isNaN(covered) ? share : covered;
        }
        points.add(x + 0.5 + share * dx, ink.height() - (y + 0.5 + share * dy));
    }

    private boolean isAlong(int x, int y, int dx, int dy) {
        double across = ink.over(x, y) - ink.over(x + dx, y + dy);
        double before = ink.over(x - dy, y - dx) + ink.over(x - dy + dx, y - dx + dy);
        double after = ink.over(x + dy, y + dx) + ink.over(x + dy + dx, y + dx + dy);
        return Math.abs(after - before) / 4 > ALONG * across;
    }
}
