package dev.oleander.drawing.mend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Style;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Plates are drawn badly on purpose: mending has to bring back every one of them. */
class WornLineWorkTest {

    private static final Style CUT = Style.onLayer("CUT");

    private final List<Segment> drawn = new ArrayList<>();

    /** A plate with round corners. */
    private static List<Segment> plate(double x, double y, double w, double h, double r) {
        List<Segment> plate = new ArrayList<>();
        Point[] centres = {
            new Point(x + w - r, y + r),
            new Point(x + w - r, y + h - r),
            new Point(x + r, y + h - r),
            new Point(x + r, y + r)
        };
        Point at = new Point(x + r, y);
        for (int i = 0; i < 4; i++) {
            Arc corner = Arc.about(centres[i], r, (i - 1) * Math.PI / 2, Math.PI / 2);
            plate.add(new Line(at, corner.start()));
            plate.add(corner);
            at = corner.end();
        }
        return plate;
    }

    private static double area(double w, double h, double r) {
        return w * h - (4 - Math.PI) * r * r;
    }

    /** Turned round, moved a little at its ends, split, or drawn once more in part. */
    private void wear(Segment segment, Random random) {
        Segment worn = random.nextBoolean() ? segment : segment.reversed();
        worn = worn.withEnds(near(worn.start(), random), near(worn.end(), random));
        if (random.nextInt(4) == 0) {
            double t = 0.3 + 0.4 * random.nextDouble();
            drawn.add(worn.between(0, t));
            drawn.add(worn.between(t, 1).reversed());
        } else {
            drawn.add(worn);
        }
        if (random.nextInt(3) == 0) {
            double from = 0.4 * random.nextDouble();
            drawn.add(segment.between(from, from + 0.2 + 0.3 * random.nextDouble()));
        }
    }

    private static Point near(Point p, Random random) {
        return p.plus(Point.polar(0.01 * random.nextDouble(), 6.3 * random.nextDouble()));
    }

    private List<Entity> entities() {
        List<Entity> entities = new ArrayList<>();
        for (Segment segment : drawn) {
            int n = entities.size();
            entities.add(new Entity(n, "" + n, "LINE", CUT, n, "", List.of(segment), false));
        }
        return entities;
    }

    @Property(tries = 200)
    void wornPlatesAreWholeAgain(@ForAll long seed) {
        Random random = new Random(seed);
        drawn.clear();
        List<Double> areas = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            double w = 30 + 60 * random.nextDouble();
            double h = 30 + 60 * random.nextDouble();
            double r = 3 + 8 * random.nextDouble();
            plate(120 * (i % 4), 120 * (i / 4), w, h, r).forEach(s -> wear(s, random));
            areas.add(area(w, h, r));
        }
        Collections.shuffle(drawn, random);
        Mended mended = new Mender(MendOptions.defaults()).mend(entities());
        List<Double> found =
                mended.chains().stream()
                        .map(Mended.Joined::chain)
                        .filter(Contour.class::isInstance)
                        .map(c -> ((Contour) c).area())
                        .sorted(Comparator.naturalOrder())
                        .toList();
        // where two ends were moved against each other a rest may be just longer than a crumb
        double rest = 1.5 * MendOptions.defaults().gap();
        assertThat(mended.chains())
                .as("seed %d", seed)
                .filteredOn(c -> c.chain().length() > rest)
                .hasSameSizeAs(areas);
        Collections.sort(areas);
        for (int i = 0; i < areas.size(); i++) {
            // ends are off by a hundredth, along at most 300 mm
            assertThat(found.get(i)).as("seed %d", seed).isCloseTo(areas.get(i), within(3.0));
        }
    }
}
