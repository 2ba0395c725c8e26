package dev.oleander.nesting.search;

/**
 * Which boxes of a room may meet another one: each column and each row of a room has a set of the
 * items in it, and who is in a column and in a row of the box is looked at.
 */
final class BoxGrid {

    private static final int CELLS = 32;

    private final int words;
    private final double[] x0;
    private final double[] y0;
    private final double[] perX;
    private final double[] perY;

    /** By room, column and word of the set. */
    private final long[] columns;

    private final long[] rows;

    BoxGrid(Room[] rooms, int items) {
        this.words = (items + 63) / 64;
        this.x0 = new double[rooms.length];
        this.y0 = new double[rooms.length];
        this.perX = new double[rooms.length];
        this.perY = new double[rooms.length];
        for (int r = 0; r < rooms.length; r++) {
            x0[r] = rooms[r].x0;
            y0[r] = rooms[r].y0;
            perX[r] = CELLS / Math.max(rooms[r].width(), 1e-9);
            perY[r] = CELLS / Math.max(rooms[r].height(), 1e-9);
        }
        this.columns = new long[rooms.length * CELLS * words];
        this.rows = new long[rooms.length * CELLS * words];
    }

    private static int cell(double offset, double per) {
        return Math.max(0, Math.min(CELLS - 1, (int) (offset * per)));
    }

    /** Enters an item, or takes it out, with the box at a place of the list. */
    void mark(int item, int room, double[] boxes, boolean in) {
        double lowX = boxes[4 * item] - x0[room];
        double lowY = boxes[4 * item + 1] - y0[room];
        double highX = boxes[4 * item + 2] - x0[room];
        double highY = boxes[4 * item + 3] - y0[room];
        set(columns, item, room, cell(lowX, perX[room]), cell(highX, perX[room]), in);
        set(rows, item, room, cell(lowY, perY[room]), cell(highY, perY[room]), in);
    }

    private void set(long[] sets, int item, int room, int from, int to, boolean in) {
        int word = item >> 6;
        long bit = 1L << item;
        for (int c = from; c <= to; c++) {
            int at = (room * CELLS + c) * words + word;
            sets[at] = in ? sets[at] | bit : sets[at] & ~bit;
        }
    }

    /**
     * Who may meet a box.
     *
     * @param found gets the items, in their order
     * @return how many
     */
    int near(int room, double lowX, double lowY, double highX, double highY, int[] found) {
        int c0 = cell(lowX - x0[room], perX[room]);
        int c1 = cell(highX - x0[room], perX[room]);
        int r0 = cell(lowY - y0[room], perY[room]);
        int r1 = cell(highY - y0[room], perY[room]);
        int count = 0;
        for (int w = 0; w < words; w++) {
            long set = any(columns, room, c0, c1, w) & any(rows, room, r0, r1, w);
            while (set != 0) {
                found[count++] = (w << 6) + Long.numberOfTrailingZeros(set);
                set &= set - 1;
            }
        }
        return count;
    }

    private long any(long[] sets, int room, int from, int to, int word) {
        long any = 0;
        int at = (room * CELLS + from) * words + word;
        for (int c = from; c <= to; c++) {
            any |= sets[at];
            at += words;
        }
        return any;
    }
}
