package dev.oleander.geometry.flat;

/** Puts the pieces of runs together to a closed chain with as few edges as it needs. */
final class LoopWriter {

    private final Runs runs;
    private final double tolerance;
    private ChainWriter chain;

    LoopWriter(Runs runs, double tolerance) {
        this.runs = runs;
        this.tolerance = tolerance;
        this.chain = new ChainWriter(tolerance);
    }

    void add(int half) {
        int run = half >> 1;
        int pieces = runs.pieces(run);
        for (int n = 0; n < pieces; n++) {
            if ((half & 1) == 0) {
                addPiece(run, n);
            } else {
                addReversed(run, pieces - 1 - n);
            }
        }
    }

    private void addPiece(int run, int n) {
        chain.add(
                runs.startX(run, n),
                runs.startY(run, n),
                runs.endX(run, n),
                runs.endY(run, n),
                runs.bulge(run, n));
    }

    private void addReversed(int run, int n) {
        chain.add(
                runs.endX(run, n),
                runs.endY(run, n),
                runs.startX(run, n),
                runs.startY(run, n),
                -runs.bulge(run, n));
    }

    /** The closed chain, or null when it is narrower than the tolerance. */
    Vertices close() {
        return chain.close();
    }
}
