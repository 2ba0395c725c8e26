package dev.oleander.geometry.offset;

import dev.oleander.geometry.flat.Arrangement;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Runs;

/**
 * Which faces of the arranged raw curve keep the distance from the source.
 *
 * <p>The distance can only fall below the limit across the raw curve, and then always on the side
 * towards the source. So a face keeps it if no run has it on that side, if the raw curve winds
 * round it as the source does round places beyond the distance, and if one place of its border
 * keeps it.
 */
final class OffsetFaces {

    private final Arrangement arrangement;
    private final Runs runs;
    private final Edges raw;
    private final double left;
    private final SourceDistance source;
    private final double limit;

    /** For each half-edge of a stand-in: whether its face lies towards the source. */
    private final boolean[] towards;

    OffsetFaces(Arrangement arrangement, double left, SourceDistance source, double limit) {
        this.arrangement = arrangement;
        this.runs = arrangement.runs();
        this.raw = arrangement.edges();
        this.left = left;
        this.source = source;
        this.limit = limit;
        this.towards = new boolean[2 * runs.size()];
        boolean[] live = new boolean[runs.size()];
        for (int r = 0; r < runs.size(); r++) {
            int half = arrangement.representative(2 * r);
            if (!isDead(r)) {
                live[half >> 1] = true;
                towards[left > 0 ? half ^ 1 : half] = true;
            }
        }
        // a dead run that lies on a live one says nothing: they are together within the tolerance
        for (int r = 0; r < runs.size(); r++) {
            if (!live[arrangement.standIn(r)]) {
                towards[2 * arrangement.standIn(r)] = true;
                towards[2 * arrangement.standIn(r) + 1] = true;
            }
        }
    }

    private boolean isDead(int run) {
        int pieces = runs.pieces(run);
        for (int n = 0; n < pieces; n++) {
            if ((raw.tag(runs.edge(run, n)) & 3) == RawCurve.DEAD) {
                return true;
            }
        }
        return false;
    }

    /** For every face cycle whether its face keeps the distance. */
    boolean[] clear() {
        int expected = left > 0 ? 1 : 0;
        boolean[] clear = new boolean[arrangement.cycles()];
        for (int c = 0; c < clear.length; c++) {
            clear[c] = arrangement.winding(c, 0) == expected && isAway(c) && keepsDistance(c);
        }
        return clear;
    }

    private boolean isAway(int c) {
        int first = arrangement.firstOfCycle(c);
        int h = first;
        do {
            if (towards[h]) {
                return false;
            }
            h = arrangement.next(h);
        } while (h != first);
        return true;
    }

    /** Asks in the middle of the longest piece, where rounding at nodes matters least. */
    private boolean keepsDistance(int c) {
        int first = arrangement.firstOfCycle(c);
        int bestRun = -1;
        int bestPiece = 0;
        double most = -1;
        int h = first;
        do {
            int run = h >> 1;
            int n = runs.longest(run);
            double length = runs.chord(run, n);
            if (length > most) {
                most = length;
                bestRun = run;
                bestPiece = n;
            }
            h = arrangement.next(h);
        } while (h != first);
        return source.isClear(
                runs.middleX(bestRun, bestPiece), runs.middleY(bestRun, bestPiece), limit);
    }
}
