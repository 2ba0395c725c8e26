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

    /** States that are kept between the beginning and the end. */
    private static final int KEPT = 12;

    private final Box window;
    private final int columns;
    private final int rows;
    private final List<Depths.Piece> pieces = new ArrayList<>();
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
        for (Depths.Piece piece : of.pieces()) {
            if (piece.lowest() < 0 && piece.box().touches(window)) {
                pieces.add(piece);
            }
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
        if (target < done) {
            Map.Entry<Integer, float[]> before = kept.floorEntry(target);
            depths = before.getValue().clone();
            done = before.getKey();
        }
        int every = Math.max(1, pieces.size() / KEPT);
        while (done < target) {
            lay(pieces.get(done), depths);
            done++;
            if (done % every == 0) {
                kept.computeIfAbsent(done, n -> depths.clone());
            }
        }
        float[] found = depths.clone();
        underWay(made, share, found);
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

    /** A leg that climbs along an arc has several pieces, of equal length. */
    private void underWay(int leg, double share, float[] into) {
        int from = first(leg);
        int count = first(leg + 1) - from;
        double pieced = share * count;
        for (int i = 0; i < count && i < pieced; i++) {
            Depths.Piece piece = pieces.get(from + i);
            lay(pieced - i >= 1 ? piece : piece.beginning(pieced - i), into);
        }
    }

    private void lay(Depths.Piece piece, float[] into) {
        double cellX = window.width() / columns;
        double cellY = window.height() / rows;
        Box box = piece.box();
        int left = cell(box.min().x() - window.min().x(), cellX, columns);
        int right = cell(box.max().x() - window.min().x(), cellX, columns);
        int top = cell(window.max().y() - box.max().y(), cellY, rows);
        int bottom = cell(window.max().y() - box.min().y(), cellY, rows);
        for (int row = top; row <= bottom; row++) {
            double y = window.max().y() - (row + 0.5) * cellY;
            for (int column = left; column <= right; column++) {
                int at = row * columns + column;
                if (-piece.lowest() > into[at]) {
                    double x = window.min().x() + (column + 0.5) * cellX;
                    float depth = (float) -Depths.lowest(piece, new Point(x, y));
                    into[at] = Math.max(into[at], depth);
                }
            }
        }
    }

    private static int cell(double distance, double size, int count) {
        return (int) Math.max(0, Math.min(count - 1, Math.floor(distance / size)));
    }
}
