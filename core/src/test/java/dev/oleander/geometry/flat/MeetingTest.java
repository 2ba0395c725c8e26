package dev.oleander.geometry.flat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class MeetingTest {

    private static final double TOLERANCE = 1e-9;

    private final Meeting meeting = new Meeting(TOLERANCE);

    private int meet(double[] a, double[] b) {
        Edges edges = new Edges(2);
        edges.add(a[0], a[1], a[2], a[3], a[4], 0);
        edges.add(b[0], b[1], b[2], b[3], b[4], 1);
        meeting.find(edges, 0, edges, 1);
        return meeting.count();
    }

    private static double[] edge(double... numbers) {
        return numbers;
    }

    @Test
    void linesCrossOnce() {
        assertThat(meet(edge(0, 0, 4, 4, 0), edge(0, 4, 4, 0, 0))).isEqualTo(1);
        assertThat(meeting.x(0)).isCloseTo(2, within(1e-15));
        assertThat(meet(edge(0, 0, 4, 4, 0), edge(0, 4, 1.9, 2.1, 0))).isZero();
    }

    @Test
    void anEndOnALineIsAMeeting() {
        assertThat(meet(edge(0, 0, 10, 0, 0), edge(5, 1e-10, 5, 4, 0))).isEqualTo(1);
        assertThat(meet(edge(0, 0, 10, 0, 0), edge(5, 1e-8, 5, 4, 0))).isZero();
    }

    @Test
    void linesOnEachOtherGiveTheEndsOfTheStretch() {
        assertThat(meet(edge(0, 0, 10, 0, 0), edge(4, 0, 14, 0, 0))).isEqualTo(2);
        assertThat(meeting.x(0) + meeting.x(1)).isCloseTo(14, within(1e-12));
        assertThat(meeting.sharesStretch()).isTrue();
    }

    @Test
    void aTangencyIsFoundOnce() {
        // circle about (0, 0), line y = 5
        double[] half = edge(5, 0, -5, 0, 1);
        assertThat(meet(edge(-9, 5, 9, 5, 0), half)).isEqualTo(1);
        assertThat(meeting.x(0)).isCloseTo(0, within(1e-7));
        assertThat(meet(edge(-9, 5 - 1e-10, 9, 5 - 1e-10, 0), half)).isEqualTo(1);
        assertThat(meet(edge(-9, 5 - 1e-6, 9, 5 - 1e-6, 0), half)).isEqualTo(2);
        assertThat(meet(edge(-9, 5 + 1e-6, 9, 5 + 1e-6, 0), half)).isZero();
    }

    @Test
    void arcsOfOneCircleCanShareTwoStretches() {
        // each three eighths more than half is no edge here: two halves shifted by a quarter share
        // one stretch, and their ends
        double[] first = edge(5, 0, -5, 0, 1);
        double[] second = edge(0, 5, 0, -5, 1);
        assertThat(meet(first, second)).isEqualTo(2);
        assertThat(meeting.sharesStretch()).isTrue();
        double[] opposite = edge(-5, 0, 5, 0, 1);
        assertThat(meet(first, opposite)).isEqualTo(2);
        assertThat(meeting.sharesStretch()).isFalse();
    }

    @Test
    void nearlyStraightArcsCrossLikeLines() {
        for (double bulge : new double[] {1e-3, 1e-6, 1e-9, 1e-12, -1e-9}) {
            assertThat(meet(edge(0, 0, 100, 0, bulge), edge(50, -10, 51, 10, -bulge))).isEqualTo(1);
            double x = meeting.x(0);
            assertThat(x).isBetween(50.0, 51.0);
            assertThat(Math.abs(meeting.y(0) + 50 * bulge)).isLessThan(1e-2 * bulge * 50 + 1e-9);
        }
    }

    @Test
    void concentricArcsDoNotMeet() {
        assertThat(meet(edge(5, 0, -5, 0, 1), edge(6, 0, -6, 0, 1))).isZero();
    }

    @Test
    void aToleranceOfNothingIsRefused() {
        assertThatThrownBy(() -> new Meeting(0)).hasMessageContaining("> 0");
    }

    @Property(tries = 3000)
    void pointsLieOnBothAndNoneIsMissed(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] a = random(random);
        double[] b = random(random);
        Edges edges = new Edges(2);
        edges.add(a[0], a[1], a[2], a[3], a[4], 0);
        edges.add(b[0], b[1], b[2], b[3], b[4], 1);
        meeting.find(edges, 0, edges, 1);
        for (int n = 0; n < meeting.count(); n++) {
            assertThat(edges.distance(0, meeting.x(n), meeting.y(n))).isLessThan(1e-8);
            assertThat(edges.distance(1, meeting.x(n), meeting.y(n))).isLessThan(1e-8);
        }
        assertThat(meeting.count()).isGreaterThanOrEqualTo(signChanges(edges));
    }

    private static double[] random(SplittableRandom random) {
        double[] edge = random.doubles(5).map(d -> 20 * d - 10).toArray();
        double size = Math.pow(10, -random.nextInt(10));
        edge[4] = random.nextInt(3) == 0 ? 0 : (2 * random.nextDouble() - 1) * size;
        return edge;
    }

    /** How often the first edge passes the second, seen in small steps. */
    private static int signChanges(Edges edges) {
        int changes = 0;
        double before = Double.NaN;
        for (int i = 1; i < 400; i++) {
            double[] p = at(edges, i / 400.0);
            double side = edges.rightOf(1, p[0], p[1]);
            boolean beside = edges.hasFoot(1, p[0], p[1], -1e-6) && Math.abs(side) > 1e-7;
            if (!beside) {
                before = Double.NaN;
            } else {
                changes += !Double.isNaN(before) && before * side < 0 && Math.abs(side) < 1 ? 1 : 0;
                before = side;
            }
        }
        return changes;
    }

    private static double[] at(Edges edges, double t) {
        double half = 2 * Math.atan(edges.bulge(0));
        double dx = edges.x1(0) - edges.x0(0);
        double dy = edges.y1(0) - edges.y0(0);
        double share = half == 0 ? t : Math.sin(t * half) / Math.sin(half);
        double turn = (t - 1) * half;
        double x = dx * share;
        double y = dy * share;
        return new double[] {
            edges.x0(0) + x * Math.cos(turn) - y * Math.sin(turn),
            edges.y0(0) + x * Math.sin(turn) + y * Math.cos(turn)
        };
    }
}
