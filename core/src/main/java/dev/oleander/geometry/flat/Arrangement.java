package dev.oleander.geometry.flat;

import java.util.Arrays;

/**
 * The parts into which closed loops of lines and arcs divide the plane: half-edges, the face cycles
 * they bound and how often the loops of each layer wind round them.
 *
 * <p>Winding numbers are carried from face to face across runs, so whatever is chosen by them has
 * closed boundaries, however close the edges pass. That the faces are those of a plane is checked
 * with Euler's formula, V - E + F = 2 for each connected part.
 */
public final class Arrangement {

    /** Number of layers; the loops of either operand of an overlay are kept apart. */
    public static final int LAYERS = 2;

    private final Edges edges;
    private final double tolerance;
    private final int[] layerOfLoop;
    private final Cuts cuts;
    private final Runs runs;
    private final HalfEdges halfEdges;

    /** For each run and layer: change of winding from the right to the left of its stand-in. */
    private final int[] step;

    private final int[] cycle;
    private int cycles;
    private int[] firstOfCycle = new int[16];
    private double[] area = new double[16];
    private int[] winding;

    private Arrangement(Edges edges, int[] layerOfLoop, double tolerance) {
        this.edges = edges;
        this.tolerance = tolerance;
        this.layerOfLoop = layerOfLoop;
        this.cuts = Cuts.of(edges, tolerance);
        this.runs = new Runs(edges, cuts, tolerance);
        this.halfEdges = new HalfEdges(edges, runs);
        this.step = sumSteps();
        this.cycle = new int[2 * runs.size()];
        traceCycles();
        findWindings();
    }

    /**
     * Arranges the loops of a table.
     *
     * @param layerOfLoop 0 or 1 for each loop
     * @param tolerance mm; what is nearer than this meets
     * @throws KnotException when edges cannot be told apart at this tolerance
     */
    public static Arrangement of(Edges edges, int[] layerOfLoop, double tolerance) {
        return new Arrangement(edges, layerOfLoop, tolerance);
    }

    public Runs runs() {
        return runs;
    }

    public Edges edges() {
        return edges;
    }

    /** The run that stands for all that lie on this one. */
    public int standIn(int run) {
        return halfEdges.standIn(run);
    }

    /** The half-edge of the stand-in that runs like this one. */
    public int representative(int half) {
        return halfEdges.representative(half);
    }

    /** The half-edge that follows along the same face. */
    public int next(int half) {
        return halfEdges.next(half);
    }

    /** The node a half-edge leaves; -1 on a loop without nodes. */
    public int tail(int half) {
        return halfEdges.tail(half);
    }

    public int cycles() {
        return cycles;
    }

    /** The face cycle to the left of a half-edge of a stand-in. */
    public int cycle(int half) {
        return cycle[half];
    }

    public int firstOfCycle(int c) {
        return firstOfCycle[c];
    }

    /** How often the loops of a layer wind round the face of a cycle. */
    public int winding(int c, int layer) {
        return winding[LAYERS * c + layer];
    }

    private int[] sumSteps() {
        int[] sums = new int[LAYERS * runs.size()];
        for (int r = 0; r < runs.size(); r++) {
            int half = halfEdges.representative(2 * r);
            int sign = (half & 1) == 0 ? 1 : -1;
            sums[LAYERS * (half >> 1) + layerOfLoop[runs.loop(r)]] += sign;
        }
        return sums;
    }

    private int step(int half, int layer) {
        int forward = step[LAYERS * (half >> 1) + layer];
        return (half & 1) == 0 ? forward : -forward;
    }

    private void traceCycles() {
        Arrays.fill(cycle, -1);
        double homeX = edges.size() == 0 ? 0 : edges.x0(0);
        double homeY = edges.size() == 0 ? 0 : edges.y0(0);
        double[] areas = new double[runs.size()];
        for (int r = 0; r < runs.size(); r++) {
            areas[r] = standIn(r) == r ? runs.roughDoubleArea(r, homeX, homeY) : 0;
        }
        for (int h = 0; h < cycle.length; h++) {
            if (cycle[h] < 0 && standIn(h >> 1) == h >> 1) {
                trace(h, areas);
            }
        }
    }

    private void trace(int first, double[] areas) {
        if (cycles == area.length) {
            area = Arrays.copyOf(area, 2 * cycles);
            firstOfCycle = Arrays.copyOf(firstOfCycle, 2 * cycles);
        }
        double sum = 0;
        int h = first;
        do {
            if (cycle[h] >= 0) {
                // the order round some node tells two half-edges to go on along one
                throw knotAt(h);
            }
            cycle[h] = cycles;
            sum += (h & 1) == 0 ? areas[h >> 1] : -areas[h >> 1];
            h = next(h);
        } while (h != first);
        firstOfCycle[cycles] = first;
        area[cycles++] = sum;
    }

    private void findWindings() {
        winding = new int[LAYERS * cycles];
        Components parts = new Components(this);
        parts.requirePlane();
        boolean[] known = new boolean[cycles];
        int[] stack = new int[cycles];
        for (int part = 0; part < parts.count(); part++) {
            int outer = parts.outerCycle(part);
            if (parts.count() > 1) {
                addWindingOfOthers(parts, part, outer);
            }
            known[outer] = true;
            stack[0] = outer;
            spread(stack, known);
        }
    }

    /** The loops of other parts wind equally often round every point of this one. */
    private void addWindingOfOthers(Components parts, int part, int outer) {
        int run = firstOfCycle[outer] >> 1;
        double x = runs.startX(run, 0);
        double y = runs.startY(run, 0);
        cuts.tree()
                .touching(
                        x,
                        y,
                        Double.POSITIVE_INFINITY,
                        y,
                        e -> {
                            int loop = edges.loopOf(e);
                            if (parts.ofLoop(loop) != part) {
                                winding[LAYERS * outer + layerOfLoop[loop]] +=
                                        edges.crossingsRightOf(e, x, y);
                            }
                            return true;
                        });
    }

    private void spread(int[] stack, boolean[] known) {
        int depth = 1;
        while (depth > 0) {
            int c = stack[--depth];
            int h = firstOfCycle[c];
            do {
                int other = cycle[h ^ 1];
                if (!known[other]) {
                    known[other] = true;
                    for (int layer = 0; layer < LAYERS; layer++) {
                        winding[LAYERS * other + layer] =
                                winding[LAYERS * c + layer] - step(h, layer);
                    }
                    stack[depth++] = other;
                } else {
                    requireAgreement(c, other, h);
                }
                h = next(h);
            } while (h != firstOfCycle[c]);
        }
    }

    private void requireAgreement(int c, int other, int half) {
        for (int layer = 0; layer < LAYERS; layer++) {
            if (winding(other, layer) != winding(c, layer) - step(half, layer)) {
                throw knotAt(half);
            }
        }
    }

    KnotException knotAt(int half) {
        int run = half >> 1;
        return new KnotException(runs.startX(run, 0), runs.startY(run, 0), tolerance);
    }

    /** Signed area of a cycle, roughly, times two; negative for the outer one of a part. */
    double roughDoubleArea(int c) {
        return area[c];
    }
}
