package dev.oleander.nesting.search;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Packs rectangles on sheets: the lowest place of the skyline gets the rectangle that fits it best
 * (Burke, Kendall, Whitwell 2004; fit of both sides after Wei et al. 2011), under a search over the
 * order in which equally good ones are taken.
 */
final class Skyline {

    private static final double SAME = 1e-6;

    /** Tries from one great leap to the next. */
    private static final int CYCLE = 20_000;

    /** How much worse an order may be that is gone on from, of the area of all. */
    private static final double LEAP = 0.06;

    /** What one rectangle of an order costs, in tests of pairs. */
    private static final int WORK = 4;

    private final List<Block> blocks;
    private final SheetSet set;
    private final SplittableRandom random;
    private final PairTest work;
    private final boolean alongX;
    private int[] order;
    private Result best;
    private Result now;
    private final double area;
    private long tried;

    /** Steps of the skyline of one sheet: where each begins across, and how far it reaches. */
    private final double[] from;

    private final double[] reach;
    private int steps;

    /**
     * Where everything lies.
     *
     * @param lastArea mm2 of the rectangles on the last of several sheets; twice what lies nowhere
     * @param front how far they reach there
     */
    private record Result(
            double lastArea, double front, int[] room, int[] lie, double[] along, double[] across) {

        boolean isWorseThan(Result other) {
            return lastArea != other.lastArea ? lastArea > other.lastArea : front > other.front;
        }
    }

    Skyline(List<Block> blocks, SheetSet set, SplittableRandom random, PairTest work) {
        this.blocks = blocks;
        this.set = set;
        this.random = random;
        this.work = work;
        this.alongX = set.alongX();
        this.from = new double[blocks.size() + 2];
        this.reach = new double[blocks.size() + 2];
        this.order = new int[blocks.size()];
        Arrays.setAll(order, i -> i);
        sortByHeight();
        this.best = packed();
        this.now = best;
        this.area =
                blocks.stream()
                        .mapToDouble(b -> b.lies().get(0).width() * b.lies().get(0).height())
                        .sum();
    }

    private void sortByHeight() {
        Integer[] sorted = new Integer[order.length];
        Arrays.setAll(sorted, i -> i);
        Arrays.sort(
                sorted,
                (a, b) -> Double.compare(perimeter(blocks.get(b)), perimeter(blocks.get(a))));
        Arrays.setAll(order, i -> sorted[i]);
    }

    private static double perimeter(Block block) {
        return block.lies().get(0).width() + block.lies().get(0).height();
    }

    SheetSet set() {
        return set;
    }

    /** Whether everything has found a place. */
    boolean isComplete() {
        return Arrays.stream(best.room).allMatch(r -> r >= 0);
    }

    /** Whether the last of several sheets is not needed. */
    private boolean isSpent() {
        return set.front() > 0 && best.lastArea == 0;
    }

    /** Tries other orders and keeps what is not worse. */
    void improve(int tries) {
        for (int t = 0; t < tries && !isSpent(); t++) {
            int[] before = order.clone();
            change();
            Result next = packed();
            work.done(WORK * order.length);
            // Great leaps at the beginning of a cycle, none at its end.
            double leap = LEAP * area * (1 - (double) (tried++ % CYCLE) / CYCLE);
            if (next.isWorseThan(now)
                    && next.lastArea > now.lastArea + leap * random.nextDouble()) {
                order = before;
                continue;
            }
            now = next;
            best = best.isWorseThan(now) ? now : best;
        }
    }

    private void change() {
        int changes = 1 + random.nextInt(3);
        for (int c = 0; c < changes; c++) {
            int i = random.nextInt(order.length);
            int j = random.nextInt(order.length);
            int one = order[i];
            if (random.nextBoolean()) {
                order[i] = order[j];
            } else if (i < j) {
                System.arraycopy(order, i + 1, order, i, j - i);
            } else {
                System.arraycopy(order, j, order, j + 1, i - j);
            }
            order[j] = one;
        }
    }

    /** Lays everything as the best order says. */
    void layInto(Scene scene) {
        for (int b = 0; b < blocks.size(); b++) {
            if (best.room[b] < 0) {
                continue;
            }
            Block block = blocks.get(b);
            Block.Lie lie = block.lies().get(best.lie[b]);
            Room room = set.rooms().get(best.room[b]);
            double x = room.x0 - Body.SLACK + (alongX ? best.along[b] : best.across[b]);
            double y = room.y0 - Body.SLACK + (alongX ? best.across[b] : best.along[b]);
            for (int k = 0; k < block.items().size(); k++) {
                scene.put(
                        block.items().get(k),
                        lie.ways().get(k),
                        x + lie.x()[k],
                        y + lie.y()[k],
                        best.room[b]);
            }
        }
    }

    private Result packed() {
        int n = blocks.size();
        Result result = new Result(0, 0, new int[n], new int[n], new double[n], new double[n]);
        Arrays.fill(result.room, -1);
        int last = set.rooms().size() - 1;
        double front = 0;
        for (int r = 0; r <= last; r++) {
            front = pack(r, result);
        }
        double lastArea = 0;
        for (int b = 0; b < n; b++) {
            Block.Lie lie = blocks.get(b).lies().get(0);
            double area = lie.width() * lie.height();
            if (result.room[b] < 0) {
                lastArea += 2 * area;
            } else if (result.room[b] == last && last > 0) {
                lastArea += area;
            }
        }
        return new Result(lastArea, front, result.room, result.lie, result.along, result.across);
    }

    private double pack(int r, Result to) {
        Room room = set.rooms().get(r);
        double length = (alongX ? room.width() : room.height()) + 2 * Body.SLACK + SAME;
        double across = (alongX ? room.height() : room.width()) + 2 * Body.SLACK;
        from[0] = 0;
        from[1] = across;
        reach[0] = 0;
        steps = 1;
        double front = 0;
        while (true) {
            int low = lowest();
            double width = from[low + 1] - from[low];
            int found = -1;
            int lieFound = 0;
            int fit = -1;
            for (int b : order) {
                if (to.room[b] >= 0) {
                    continue;
                }
                List<Block.Lie> lies = blocks.get(b).lies();
                for (int v = 0; v < lies.size(); v++) {
                    double wide = wide(lies.get(v));
                    double far = reach[low] + far(lies.get(v));
                    if (wide <= width + SAME && far <= length) {
                        int now = fit(low, width, wide, far);
                        if (now > fit) {
                            fit = now;
                            found = b;
                            lieFound = v;
                        }
                    }
                }
            }
            if (found < 0) {
                if (!raise(low, length)) {
                    return front;
                }
                continue;
            }
            Block.Lie lie = blocks.get(found).lies().get(lieFound);
            boolean right = atRight(low, width, lie);
            to.room[found] = r;
            to.lie[found] = lieFound;
            to.along[found] = reach[low];
            to.across[found] = right ? from[low + 1] - wide(lie) : from[low];
            front = Math.max(front, reach[low] + far(lie));
            cover(low, to.across[found], wide(lie), far(lie));
        }
    }

    private double wide(Block.Lie lie) {
        return alongX ? lie.height() : lie.width();
    }

    private double far(Block.Lie lie) {
        return alongX ? lie.width() : lie.height();
    }

    private int lowest() {
        int low = 0;
        for (int s = 1; s < steps; s++) {
            if (reach[s] < reach[low] - SAME) {
                low = s;
            }
        }
        return low;
    }

    private double left(int step) {
        return step == 0 ? Double.POSITIVE_INFINITY : reach[step - 1];
    }

    private double right(int step) {
        return step == steps - 1 ? Double.POSITIVE_INFINITY : reach[step + 1];
    }

    /** 0 to 4: whether the place is filled from side to side, and ends in line with neighbours. */
    private int fit(int low, double width, double wide, double far) {
        int fit = 0;
        if (width - wide <= SAME) {
            fit += 2;
            fit += Math.abs(far - left(low)) <= SAME ? 1 : 0;
            fit += Math.abs(far - right(low)) <= SAME ? 1 : 0;
        } else if (Math.abs(far - left(low)) <= SAME || Math.abs(far - right(low)) <= SAME) {
            fit = 1;
        }
        return fit;
    }

    /**
     * Whether it lies at the right end of the place: in line with that neighbour, or the higher.
     */
    private boolean atRight(int low, double width, Block.Lie lie) {
        double far = reach[low] + far(lie);
        if (Math.abs(far - left(low)) <= SAME || width - wide(lie) <= SAME) {
            return false;
        }
        return Math.abs(far - right(low)) <= SAME || right(low) > left(low);
    }

    /** The lowest place is waste: it rises to its lower neighbour. */
    private boolean raise(int low, double length) {
        double to = Math.min(left(low), right(low));
        if (Double.isInfinite(to) || to > length) {
            return false;
        }
        reach[low] = to;
        join();
        return true;
    }

    private void cover(int low, double at, double wide, double far) {
        double begin = from[low];
        double end = from[low + 1];
        double old = reach[low];
        boolean before = at - begin > SAME;
        boolean after = end - (at + wide) > SAME;
        int more = (before ? 1 : 0) + (after ? 1 : 0);
        System.arraycopy(from, low + 1, from, low + 1 + more, steps - low);
        System.arraycopy(reach, low + 1, reach, low + 1 + more, steps - low - 1);
        steps += more;
        int s = low;
        if (before) {
            reach[s] = old;
            s++;
            from[s] = at;
        }
        reach[s] = old + far;
        if (after) {
            from[s + 1] = at + wide;
            reach[s + 1] = old;
        }
        join();
    }

    /** Neighbours that reach equally far become one step. */
    private void join() {
        int kept = 0;
        for (int s = 1; s < steps; s++) {
            if (Math.abs(reach[s] - reach[kept]) > SAME) {
                kept++;
                from[kept] = from[s];
                reach[kept] = reach[s];
            }
        }
        from[kept + 1] = from[steps];
        steps = kept + 1;
    }
}
