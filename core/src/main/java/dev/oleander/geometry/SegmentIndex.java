package dev.oleander.geometry;

import dev.oleander.geometry.flat.BoxTree;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntConsumer;

/**
 * Finds, among many things with a box, those near a place. Built once, then only asked; answers
 * come in the order in which the things were given, so results do not depend on the tree.
 *
 * @param <T> what is found
 */
public final class SegmentIndex<T> {

    private final BoxTree tree;
    private final List<T> items;

    /** One thing with the segment that stands for it. */
    public record Entry<T>(T item, Segment segment) {}

    private SegmentIndex(List<T> items, List<Box> boxes) {
        this.items = items;
        double[] numbers = new double[BoxTree.room(boxes.size())];
        for (int i = 0; i < boxes.size(); i++) {
            boxes.get(i).writeTo(numbers, 4 * i);
        }
        this.tree = BoxTree.of(numbers, boxes.size());
    }

    public static SegmentIndex<Segment> of(List<? extends Segment> segments) {
        return new SegmentIndex<>(
                List.copyOf(segments), segments.stream().map(Segment::box).toList());
    }

    public static <T> SegmentIndex<Entry<T>> ofEntries(List<Entry<T>> entries) {
        return new SegmentIndex<>(
                List.copyOf(entries), entries.stream().map(e -> e.segment().box()).toList());
    }

    public static SegmentIndex<Point> ofPoints(List<Point> points) {
        return new SegmentIndex<>(
                List.copyOf(points), points.stream().map(p -> new Box(p, p)).toList());
    }

    public static SegmentIndex<Box> ofBoxes(List<Box> boxes) {
        return new SegmentIndex<>(List.copyOf(boxes), boxes);
    }

    /** Positions, in the given list, of everything whose box touches {@code box}; ascending. */
    public List<Integer> positions(Box box) {
        List<Integer> found = new ArrayList<>();
        visit(box, found::add);
        Collections.sort(found);
        return found;
    }

    /** The same positions in no order, without a list of them. */
    public void visit(Box box, IntConsumer visitor) {
        tree.touching(
                box.min().x(),
                box.min().y(),
                box.max().x(),
                box.max().y(),
                item -> {
                    visitor.accept(item);
                    return true;
                });
    }

    /**
     * Finds every pair of segments whose boxes come within a distance of each other, each once.
     *
     * @param distance mm
     * @param most how many pairs are looked at
     * @return whether all were; false when there are more, or the visitor wanted no more
     */
    public static boolean pairs(
            List<? extends Segment> segments,
            double distance,
            long most,
            BoxTree.PairVisitor visitor) {
        double[] boxes = new double[BoxTree.room(segments.size())];
        for (int i = 0; i < segments.size(); i++) {
            segments.get(i).box().grown(distance / 2).writeTo(boxes, 4 * i);
        }
        long[] seen = {0};
        boolean[] ended = {false};
        BoxTree.of(boxes, segments.size())
                .pairs(
                        (from, end) -> true,
                        (a, b) -> {
                            seen[0]++;
                            ended[0] = seen[0] > most || !visitor.found(a, b);
                            return !ended[0];
                        });
        return !ended[0];
    }

    /** The thing at a position of the given list. */
    public T get(int position) {
        return items.get(position);
    }

    /** Everything whose box touches {@code box}. */
    public List<T> touching(Box box) {
        return positions(box).stream().map(items::get).toList();
    }
}
