package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Depths over a window as a grid, at any moment: a picture of the stock. Moves are laid over it one
 * after the other (a z-buffer: Van Hook, SIGGRAPH 1986); some states on the way are kept, so that
 * going back is as quick as going on. Each depth is that of {@link Depths} at the middle of its
 * cell.
 */
public final class HeightField {

    /** States that are kept between the beginning and the end, equally much work apart. */
    private static final int KEPT = 24;

    /** Share of a move that is too short to be a move of its own. */
    private static final double BEGUN = 1e-6;

    private final Box window;
    private final int columns;
    private final int rows;
    private final double cellX;
    private final double cellY;
    private final List<Piece> pieces = new ArrayList<>();

    /** Cells that are looked at for all pieces before one, and for all. */
    private final long[] work;

    private final TreeMap<Integer, float[]> kept = new TreeMap<>();
    private float[] depths;
    private int done;

    /**
     * @param columns of the grid, 1 or more
     * @param rows of the grid, 1 or more
     * @throws IllegalArgumentException when there is no cell
     */
    public HeightField(Depths of, Box window, int columns, int rows) {
        if (columns < 1 || rows < 1) {
            throw new IllegalArgumentException("%d x %d cells".formatted(columns, rows));
        }
        this.window = window;
        this.columns = columns;
        this.rows = rows;
        this.cellX = window.width() / columns;
        this.cellY = window.height() / rows;
        for (Piece piece : of.pieces()) {
            if (piece.lowest() < 0 && piece.box().touches(window)) {
                pieces.add(piece);
            }
        }
        this.work = new long[pieces.size() + 1];
        for (int i = 0; i < pieces.size(); i++) {
            work[i + 1] = work[i] + cells(pieces.get(i)).count();
        }
        this.depths = new float[columns * rows];
        kept.put(0, depths.clone());
    }

    /**
     * How deep it is cut, mm: row after row from the top, each from the left.
     *
     * @param made how many of all legs that cut are done, in their order
     * @param share of the next one that is done, from 0 to 1
     */
    public synchronized float[] at(int made, double share) {
        int target = first(made);
        Map.Entry<Integer, float[]> before = kept.floorEntry(target);
        if (target < done || before.getKey() > done) {
            depths = before.getValue().clone();
            done = before.getKey();
        }
        long every = Math.max(1, work[pieces.size()] / KEPT);
        while (done < target) {
            lay(pieces.get(done), depths);
            done++;
            if (work[done] / every > work[done - 1] / every) {
                kept.computeIfAbsent(done, n -> depths.clone());
            }
        }
        float[] found = depths.clone();
        if (share > BEGUN && target < pieces.size() && pieces.get(target).made() == made) {
            lay(pieces.get(target).beginning(share), found);
        }
        return found;
    }

    /** Index of the first piece of the legs that are not done. */
    private int first(int made) {
        int low = 0;
        int high = pieces.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (pieces.get(middle).made() < made) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Rows and columns that a piece can touch, ends included. */
    private record Cells(int top, int bottom, int left, int right) {

        long count() {
            return (bottom - top + 1L) * (right - left + 1L);
        }
    }

    private Cells cells(Piece piece) {
        Box box = piece.box();
        return new Cells(
                cell(window.max().y() - box.max().y(), cellY, rows),
                cell(window.max().y() - box.min().y(), cellY, rows),
                cell(box.min().x() - window.min().x(), cellX, columns),
                cell(box.max().x() - window.min().x(), cellX, columns));
    }

    private void lay(Piece piece, float[] into) {
        Cells cells = cells(piece);
        Reached reached = Reached.by(piece);
        for (int row = cells.top(); row <= cells.bottom(); row++) {
            double y = window.max().y() - (row + 0.5) * cellY;
            for (int column = cells.left(); column <= cells.right(); column++) {
                int at = row * columns + column;
                double x = window.min().x() + (column + 0.5) * cellX;
                if (-piece.lowest() > into[at] && reached.perhaps(x, y)) {
                    float depth = (float) -piece.lowest(new Point(x, y));
                    into[at] = Math.max(into[at], depth);
                }
            }
        }
    }

    private static int cell(double distance, double size, int count) {
        return (int) Math.max(0, Math.min(count - 1, Math.floor(distance / size)));
    }
}
