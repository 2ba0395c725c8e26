package dev.oleander.web.work.router;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.work.router.RouterRun;
import java.nio.ByteBuffer;
import java.util.Optional;

/**
 * A window over the stock of which a picture of heights is asked for, mm in the coordinates of the
 * machine.
 *
 * @param columns of the picture; its cells are as high as they are wide
 * @param t machine time, s; null: the end
 */
record HeightsWindow(Double x1, Double y1, Double x2, Double y2, Integer columns, Double t) {

    private static final int MOST = 600;
    private static final double LEAST = 0.01;
    private static final double FARTHEST = 1e5;
    private static final double STEPS = 100;
    private static final int DEEPEST = 0xffff;

    /**
     * @throws RefusedEditException when it is none
     */
    HeightsWindow {
        for (Double value : new Double[] {x1, y1, x2, y2}) {
            if (value == null || !(Math.abs(value) <= FARTHEST)) {
                throw new RefusedEditException("Heights need x1, y1, x2 and y2, mm.");
            }
        }
        if (x2 - x1 < LEAST || y2 - y1 < LEAST) {
            throw new RefusedEditException(
                    "A window of %s x %s mm; it is at least 0.01 mm wide and high."
                            .formatted(x2 - x1, y2 - y1));
        }
        if (columns == null || columns < 1 || columns > MOST) {
            throw new RefusedEditException("%s columns; there are 1 to 600.".formatted(columns));
        }
        if (t != null && !(t >= 0)) {
            throw new RefusedEditException("t is %s s; it must be at least 0.".formatted(t));
        }
    }

    private int rows() {
        return (int) Math.max(1, Math.min(MOST, Math.round(columns * (y2 - y1) / (x2 - x1))));
    }

    /**
     * Numbers of two bytes each, the higher first: columns, rows, then all depths in hundredths of
     * a mm, row after row from the top.
     */
    byte[] picture(RouterRun run) {
        int rows = rows();
        Box box = new Box(new Point(x1, y1), new Point(x2, y2));
        float[] depths = run.heights(box, columns, rows, Optional.ofNullable(t));
        ByteBuffer bytes = ByteBuffer.allocate(2 * (2 + depths.length));
        bytes.putShort((short) (int) columns).putShort((short) rows);
        put(depths, bytes);
        return bytes.array();
    }

    static void put(float[] depths, ByteBuffer bytes) {
        for (float depth : depths) {
            bytes.putShort((short) Math.min(DEEPEST, Math.round(depth * STEPS)));
        }
    }
}
