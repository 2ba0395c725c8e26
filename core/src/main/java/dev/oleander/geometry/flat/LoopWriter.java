package dev.oleander.geometry.flat;

/** Puts the pieces of runs together to a closed chain with as few edges as it needs. */
final class LoopWriter {

    private final Edges edges;
    private final Runs runs;
    private final ChainWriter chain;

    LoopWriter(Edges edges, Runs runs, double tolerance) {
        this.edges = edges;
        this.runs = runs;
        this.chain = new ChainWriter(tolerance);
    }

    void add(int half) {
        int run = half >> 1;
        int pieces = runs.pieces(run);
        if (runs.from(run) < 0 && (half & 1) == 0) {
            addLoop(runs.edge(run, 0), pieces);
            return;
        }
        for (int n = 0; n < pieces; n++) {
            if ((half & 1) == 0) {
                addPiece(run, n);
            } else {
                addReversed(run, pieces - 1 - n);
            }
        }
    }

    /** A loop that meets nothing is written as it is. */
    private void addLoop(int first, int count) {
        chain.reserve(count);
        for (int i = first; i < first + count; i++) {
            chain.add(edges.x0(i), edges.y0(i), edges.x1(i), edges.y1(i), edges.bulge(i));
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
