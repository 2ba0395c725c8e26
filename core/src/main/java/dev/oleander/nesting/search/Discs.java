package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Discs within a polygon, the largest first, each clear of those before: they stand for it where
 * only the depth of an overlap counts.
 */
final class Discs {

    private static final int MOST = 12;

    /** As many are enough when they cover most of the area. */
    private static final int FEW = 8;

    /** Share of the area that they cover when no more are looked for. */
    private static final double ENOUGH = 0.85;

    /** Discs smaller than this share of the largest are of no use. */
    private static final double SMALLEST = 0.04;

    /** A centre is found to this share of its radius. */
    private static final double PRECISION = 0.02;

    private final double[] edges;
    private final List<double[]> found = new ArrayList<>();

    /**
     * @param edges x0, y0, x1, y1 of every edge of all loops
     */
    private Discs(double[] edges) {
        this.edges = edges;
    }

    /**
     * @param area of the polygon, mm2
     * @return x, y and radius of each
     */
    static List<double[]> within(double[] edges, double area) {
        Discs discs = new Discs(edges);
        double covered = 0;
        while (discs.found.size() < (covered < ENOUGH * area ? MOST : FEW)) {
            double[] next = discs.largest();
            boolean useful = discs.found.isEmpty() || next[2] > SMALLEST * discs.found.get(0)[2];
            if (!(next[2] > 0) || !useful) {
                break;
            }
            discs.found.add(next);
            covered += Math.PI * next[2] * next[2];
        }
        return discs.found;
    }

    private record Cell(double x, double y, double half, double depth, double most) {}

    /** Squares that may hold the best centre, the most promising first, quartered until sure. */
    private double[] largest() {
        double[] box = box();
        double half = Math.max(Math.min(box[2] - box[0], box[3] - box[1]) / 2, 1e-6);
        PriorityQueue<Cell> queue =
                new PriorityQueue<>(Comparator.comparingDouble((Cell c) -> -c.most));
        for (double x = box[0] + half; x < box[2] + half; x += 2 * half) {
            for (double y = box[1] + half; y < box[3] + half; y += 2 * half) {
                queue.add(cell(x, y, half));
            }
        }
        Cell best = queue.peek();
        while (!queue.isEmpty()) {
            Cell cell = queue.poll();
            if (cell.depth > best.depth) {
                best = cell;
            }
            if (cell.most - best.depth <= PRECISION * Math.max(best.depth, 0) + 1e-6) {
                break;
            }
            double h = cell.half / 2;
            queue.add(cell(cell.x - h, cell.y - h, h));
            queue.add(cell(cell.x + h, cell.y - h, h));
            queue.add(cell(cell.x - h, cell.y + h, h));
            queue.add(cell(cell.x + h, cell.y + h, h));
        }
        return new double[] {best.x, best.y, best.depth};
    }

    private Cell cell(double x, double y, double half) {
        double depth = depth(x, y);
        return new Cell(x, y, half, depth, depth + half * Math.sqrt(2));
    }

    /** Distance from the border and from the discs before; negative outside. */
    private double depth(double x, double y) {
        double nearest = Double.POSITIVE_INFINITY;
        boolean inside = false;
        for (int e = 0; e < edges.length; e += 4) {
            double x0 = edges[e];
            double y0 = edges[e + 1];
            double x1 = edges[e + 2];
            double y1 = edges[e + 3];
            if (y0 > y != y1 > y && x < x0 + (y - y0) / (y1 - y0) * (x1 - x0)) {
                inside = !inside;
            }
            double dx = x1 - x0;
            double dy = y1 - y0;
            double square = dx * dx + dy * dy;
            double t = square > 0 ? ((x - x0) * dx + (y - y0) * dy) / square : 0;
            t = Math.min(1, Math.max(0, t));
            double px = x - x0 - t * dx;
            double py = y - y0 - t * dy;
            nearest = Math.min(nearest, px * px + py * py);
        }
        double depth = inside ? Math.sqrt(nearest) : -Math.sqrt(nearest);
        for (double[] disc : found) {
            depth = Math.min(depth, Math.sqrt(square(x - disc[0]) + square(y - disc[1])) - disc[2]);
        }
        return depth;
    }

    private double[] box() {
        double inf = Double.POSITIVE_INFINITY;
        double[] box = {inf, inf, -inf, -inf};
        for (int e = 0; e < edges.length; e += 4) {
            box[0] = Math.min(box[0], edges[e]);
            box[1] = Math.min(box[1], edges[e + 1]);
            box[2] = Math.max(box[2], edges[e]);
            box[3] = Math.max(box[3], edges[e + 1]);
        }
        return box;
    }

    private static double square(double value) {
        return value * value;
    }
}
