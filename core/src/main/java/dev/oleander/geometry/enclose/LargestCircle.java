package dev.oleander.geometry.enclose;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionIndex;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * The largest circle within a region.
 *
 * <p>Branch and bound over squares: none can hold a centre with more room than its middle has, and
 * half its diagonal. What is left is climbed in steps that shrink when no direction gains.
 *
 * @param radius mm; within a millionth of the largest
 */
public record LargestCircle(Point centre, double radius) {

    /** Share of the radius at which the search stops and the climb starts. */
    private static final double ROUGH = 1e-3;

    private static final double FINE = 1e-9;
    private static final int DIRECTIONS = 24;
    private static final int NARROWINGS = 50;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /** A square that may hold the centre. */
    private record Square(Point middle, double half, double room) {

        double bound() {
            return room + half * Math.sqrt(2);
        }
    }

    public static LargestCircle within(Region region) {
        return new Search(region).find();
    }

    private static final class Search {
        private final RegionIndex index;
        private final Box box;
        private Square best;

        Search(Region region) {
            this.index = RegionIndex.of(region);
            this.box = region.box();
        }

        LargestCircle find() {
            PriorityQueue<Square> open =
                    new PriorityQueue<>(Comparator.comparingDouble(Square::bound).reversed());
            best = square(box.centre(), Math.min(box.width(), box.height()) / 2);
            cover(open);
            while (!open.isEmpty()) {
                Square s = open.poll();
                if (s.bound() <= best.room() * (1 + ROUGH)) {
                    break;
                }
                double half = s.half() / 2;
                for (int i = 0; i < 4; i++) {
                    double dx = (i & 1) == 0 ? -half : half;
                    double dy = (i & 2) == 0 ? -half : half;
                    push(open, square(s.middle().plus(new Point(dx, dy)), half));
                }
            }
            return climbed();
        }

        private void cover(PriorityQueue<Square> open) {
            double side = Math.min(box.width(), box.height());
            int columns = (int) Math.ceil(box.width() / side);
            int rows = (int) Math.ceil(box.height() / side);
            for (int i = 0; i < columns; i++) {
                for (int j = 0; j < rows; j++) {
                    Point middle = box.min().plus(new Point((i + 0.5) * side, (j + 0.5) * side));
                    push(open, square(middle, side / 2));
                }
            }
        }

        private void push(PriorityQueue<Square> open, Square square) {
            if (square.room() > best.room()) {
                best = square;
            }
            open.add(square);
        }

        private Square square(Point middle, double half) {
            return new Square(middle, half, room(middle));
        }

        private double room(Point p) {
            double distance = index.distanceToBorder(p.x(), p.y());
            return index.contains(p.x(), p.y()) ? distance : -distance;
        }

        private LargestCircle climbed() {
            Point at = best.middle();
            double room = best.room();
            double step = Math.max(best.half(), ROUGH * room);
            while (step > FINE * room) {
                double angle = bestDirection(at, step);
                Point next = at.plus(Point.polar(step, angle));
                double there = room(next);
                if (there > room) {
                    room = there;
                    at = next;
                } else {
                    step /= 2;
                }
            }
            return new LargestCircle(at, room);
        }

        /** The best of some directions, then narrowed down, since a ridge may lie between them. */
        private double bestDirection(Point at, double step) {
            double best = 0;
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < DIRECTIONS; i++) {
                double angle = 2 * Math.PI * i / DIRECTIONS;
                double there = room(at.plus(Point.polar(step, angle)));
                if (there > most) {
                    most = there;
                    best = angle;
                }
            }
            double low = best - 2 * Math.PI / DIRECTIONS;
            double high = best + 2 * Math.PI / DIRECTIONS;
            for (int i = 0; i < NARROWINGS; i++) {
                double a = high - GOLDEN * (high - low);
                double b = low + GOLDEN * (high - low);
                boolean left =
                        room(at.plus(Point.polar(step, a))) > room(at.plus(Point.polar(step, b)));
                high = left ? b : high;
                low = left ? low : a;
            }
            return (low + high) / 2;
        }
    }
}
