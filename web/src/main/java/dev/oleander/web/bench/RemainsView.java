package dev.oleander.web.bench;

import dev.oleander.geometry.Box;
import dev.oleander.material.Leftover;
import dev.oleander.quantity.Numbers;
import java.util.Comparator;
import java.util.List;

/**
 * What is left after the last move, for the table; the deepest areas when there are very many.
 *
 * @param sentence how much it is, in words
 */
public record RemainsView(String sentence, List<Area> areas) {

    private static final int MOST = 4000;

    /**
     * @param gouge whether material is missing, else it was left
     * @param text its depth
     * @param d paths as in {@link Scene}
     * @param box left, bottom, right, top
     */
    public record Area(
            String stop,
            boolean gouge,
            double depth,
            String text,
            double[] box,
            List<double[]> d) {}

    static RemainsView of(List<Leftover> remains) {
        List<Area> areas =
                remains.stream()
                        .sorted(Comparator.comparingDouble(Leftover::depth).reversed())
                        .limit(MOST)
                        .map(RemainsView::area)
                        .toList();
        return new RemainsView(sentence(remains), areas);
    }

    private static String sentence(List<Leftover> remains) {
        if (remains.isEmpty()) {
            return "After the last move every part is as drawn.";
        }
        long missing = remains.stream().filter(Leftover::gouge).count();
        double deepest = remains.stream().mapToDouble(Leftover::depth).max().orElse(0);
        return "After the last move material is left at %d places and missing at %d, at most %s deep."
                .formatted(remains.size() - missing, missing, Numbers.length(deepest));
    }

    private static Area area(Leftover left) {
        Box box = left.region().box();
        return new Area(
                left.stop(),
                left.gouge(),
                left.depth(),
                Numbers.length(left.depth()),
                new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()},
                left.region().contours().stream()
                        .map(c -> SceneBuilder.flat(c.segments()))
                        .toList());
    }
}
