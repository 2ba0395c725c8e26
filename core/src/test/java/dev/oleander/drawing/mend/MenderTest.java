package dev.oleander.drawing.mend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MenderTest {

    private static Mended mend(Drawn drawn) {
        return new Mender(MendOptions.defaults()).mend(drawn.entities());
    }

    private static List<Contour> contours(Mended mended) {
        return mended.chains().stream()
                .map(Mended.Joined::chain)
                .filter(Contour.class::isInstance)
                .map(Contour.class::cast)
                .toList();
    }

    private static List<Fault> faults(Mended mended, Fault.Kind kind) {
        return mended.faults().stream().filter(f -> f.kind() == kind).toList();
    }

    @Test
    void linesInAnyOrderAndDirectionBecomeOneContour() {
        Mended mended =
                mend(
                        new Drawn()
                                .line(0, 0, 100, 0)
                                .line(0, 50, 0, 0)
                                .line(100, 50, 100, 0)
                                .line(100, 50, 0, 50));
        assertThat(mended.faults()).isEmpty();
        assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 5000));
    }

    private static void area(Contour contour, double area) {
        assertThat(contour.area()).isCloseTo(area, within(1e-6));
    }

    @Test
    void aGapAtACornerIsClosedInTheCorner() {
        Mended mended = mend(new Drawn().lines(0.03, 0, 100, 0, 100, 50, 0, 50, 0, 0.04));
        assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 5000));
        assertThat(faults(mended, Fault.Kind.GAP))
                .singleElement()
                .satisfies(f -> assertThat(f.size()).isCloseTo(0.05, within(1e-9)));
    }

    @Test
    void aGapInAStraightLineIsClosedInItsMiddle() {
        Mended mended = mend(new Drawn().lines(0, 20.04, 0, 0, 100, 0, 100, 50, 0, 50, 0, 20.08));
        assertThat(contours(mended)).hasSize(1);
        assertThat(faults(mended, Fault.Kind.GAP))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.mended()).isTrue();
                            assertThat(f.size()).isCloseTo(0.04, within(1e-9));
                            assertThat(f.place().orElseThrow().y()).isCloseTo(20.06, within(1e-9));
                            assertThat(f.sentence()).contains("0.04 mm", "(0, 20.06)");
                        });
    }

    @Test
    void aLargerGapStaysOpen() {
        Mended mended = mend(new Drawn().lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0.06));
        assertThat(contours(mended)).isEmpty();
        assertThat(mended.chains()).hasSize(1);
        assertThat(mended.faults()).isEmpty();
    }

    @Test
    void theToleranceIsAChoice() {
        Drawn drawn = new Drawn().lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0.5);
        Mended mended = new Mender(MendOptions.defaults().withGap(0.6)).mend(drawn.entities());
        assertThat(contours(mended)).hasSize(1);
        assertThatThrownBy(() -> MendOptions.defaults().withGap(-1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theSmallerOfTwoGapsIsClosed() {
        // three loose ends: the nearer pair belongs together
        Mended mended =
                mend(new Drawn().line(0, 0, 10, 0).line(10.01, 0, 20, 0).line(10.03, 0.03, 20, 9));
        assertThat(faults(mended, Fault.Kind.GAP))
                .singleElement()
                .satisfies(f -> assertThat(f.size()).isCloseTo(0.01, within(1e-9)));
    }

    @Test
    void lineWorkDrawnTwiceIsKeptOnce() {
        Mended mended =
                mend(
                        new Drawn()
                                .lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0)
                                .line(100, 0, 0, 0)
                                .line(20, 50, 60, 50));
        assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 5000));
        assertThat(faults(mended, Fault.Kind.DOUBLE)).hasSize(2);
        double doubled = faults(mended, Fault.Kind.DOUBLE).stream().mapToDouble(Fault::size).sum();
        assertThat(doubled).isCloseTo(140, within(1e-6));
    }

    @Test
    void aLineThatReachesOverAnotherKeepsWhatIsNew() {
        Mended mended = mend(new Drawn().line(0, 0, 60, 0).line(40, 0, 100, 0));
        assertThat(mended.chains()).hasSize(1);
        assertThat(mended.chains().get(0).chain().length()).isCloseTo(100, within(1e-6));
        assertThat(faults(mended, Fault.Kind.DOUBLE))
                .singleElement()
                .satisfies(f -> assertThat(f.size()).isCloseTo(20, within(1e-6)));
    }

    @Test
    void arcsDrawnTwiceAreKeptOnce() {
        Mended mended =
                mend(
                        new Drawn()
                                .arc(10, 0, -10, 0, 1)
                                .arc(-10, 0, 10, 0, 1)
                                .arc(-10, 0, 10, 0, -1));
        assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 100 * Math.PI));
        assertThat(faults(mended, Fault.Kind.DOUBLE)).hasSize(1);
    }

    @Test
    void theLongerOfTwoDoublesIsKeptWhicheverWasDrawnFirst() {
        for (boolean shortFirst : new boolean[] {true, false}) {
            Drawn drawn = new Drawn();
            if (shortFirst) {
                drawn.line(0.03, 0, 99.97, 0).line(0, 0, 100, 0);
            } else {
                drawn.line(0, 0, 100, 0).line(0.03, 0, 99.97, 0);
            }
            Mended mended = mend(drawn.lines(100, 0, 100, 50, 0, 50, 0, 0));
            assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 5000));
            assertThat(faults(mended, Fault.Kind.DOUBLE)).hasSize(1);
            assertThat(faults(mended, Fault.Kind.GAP)).isEmpty();
        }
    }

    @Test
    void whatIsKeptReachesAsFarAsWhatWasDropped() {
        // each of the two doubles sticks out at one end; only both together close the contour
        Mended mended =
                mend(
                        new Drawn()
                                .line(0.045, 0, 100, 0)
                                .line(0, 0, 99.955, 0)
                                .lines(100, 0, 100, 50, 0, 50, -0.03, 0));
        assertThat(contours(mended)).hasSize(1);
        assertThat(contours(mended).get(0).area()).isCloseTo(5000, within(2.0));
    }

    @Test
    void closedEntitiesDrawnTwiceAreKeptOnce() {
        Mended mended =
                mend(
                        new Drawn()
                                .circle(5, 5, 3)
                                .circle(5, 5, 3)
                                .rectangle(0, 0, 10, 10)
                                .circle(5, 5, 2));
        assertThat(contours(mended)).hasSize(3);
        assertThat(faults(mended, Fault.Kind.DOUBLE))
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains("CIRCLE", "drawn twice"));
    }

    @Test
    void crumbsAreTakenOutAndTheirNeighboursJoined() {
        Mended mended = mend(new Drawn().lines(0, 0, 100, 0, 100, 50, 0.01, 50, 0, 49.99, 0, 0));
        assertThat(contours(mended))
                .singleElement()
                .satisfies(c -> assertThat(c.segments()).hasSize(4));
        assertThat(faults(mended, Fault.Kind.CRUMB)).hasSize(1);
    }

    @Test
    void aFineCurveOfManyShortLinesIsNoCrumb() {
        Drawn drawn = new Drawn();
        int n = 720;
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * i / n;
            double b = 2 * Math.PI * ((i + 1) % n) / n;
            drawn.line(4 * Math.cos(a), 4 * Math.sin(a), 4 * Math.cos(b), 4 * Math.sin(b));
        }
        Mended mended = mend(drawn);
        assertThat(contours(mended))
                .singleElement()
                .satisfies(c -> assertThat(c.area()).isGreaterThan(50.2));
        assertThat(faults(mended, Fault.Kind.CRUMB)).isEmpty();
    }

    @Test
    void anEdgeSharedByTwoPartsBoundsBoth() {
        Mended mended =
                mend(new Drawn().lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0).line(40, 0, 40, 50));
        // the dividing line ends on the middle of others: it stays open
        assertThat(mended.chains()).hasSize(2);
        Mended split =
                mend(
                        new Drawn()
                                .lines(40, 0, 0, 0, 0, 50, 40, 50)
                                .lines(40, 0, 100, 0, 100, 50, 40, 50)
                                .line(40, 0, 40, 50));
        assertThat(contours(split)).hasSize(2);
        assertThat(contours(split).stream().mapToDouble(Contour::area).sum())
                .isCloseTo(5000, within(1e-6));
        assertThat(faults(split, Fault.Kind.SHARED_EDGE)).hasSize(1);
        assertThat(faults(split, Fault.Kind.BRANCH)).hasSize(2);
    }

    @Test
    void whatHangsOnAContourStaysOpen() {
        Mended mended =
                mend(
                        new Drawn()
                                .lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0)
                                .lines(0, 0, -30, 0, -30, 20));
        assertThat(contours(mended)).singleElement().satisfies(c -> area(c, 5000));
        List<Chain> open =
                mended.chains().stream()
                        .map(Mended.Joined::chain)
                        .filter(c -> !(c instanceof Contour))
                        .toList();
        assertThat(open).singleElement().satisfies(c -> assertThat(c.length()).isEqualTo(50));
    }

    @Test
    void aContourThatCrossesItselfIsParted() {
        Mended mended = mend(new Drawn().closed(0, 0, 40, 40, 40, 0, 0, 40));
        assertThat(contours(mended)).hasSize(2).allSatisfy(c -> area(c, 400));
        assertThat(faults(mended, Fault.Kind.CROSSING))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.needsPerson()).isTrue();
                            assertThat(f.sentence()).contains("(20, 20)");
                        });
    }

    @Test
    void collinearPiecesBecomeOneSegment() {
        Mended mended =
                mend(
                        new Drawn()
                                .lines(0, 0, 30, 0, 70, 0, 100, 0)
                                .lines(100, 0, 100, 50, 0, 50, 0, 0));
        assertThat(contours(mended).get(0).segments()).hasSize(4);
    }

    @Test
    void theOrderOfTheFileDoesNotChangeWhatIsFound() {
        Drawn drawn =
                new Drawn()
                        .lines(0, 0, 100, 0, 100, 50, 0, 50, 0, 0.02)
                        .lines(20, 20, 40, 20, 40, 40, 20, 40, 20, 20)
                        .circle(70, 25, 8)
                        .line(40, 20, 20, 20);
        double expected = total(mend(drawn));
        for (int seed = 0; seed < 20; seed++) {
            List<dev.oleander.drawing.Entity> shuffled = new ArrayList<>(drawn.entities());
            Collections.shuffle(shuffled, new Random(seed));
            Mended mended = new Mender(MendOptions.defaults()).mend(shuffled);
            assertThat(contours(mended)).hasSize(3);
            assertThat(total(mended)).isCloseTo(expected, within(1e-9));
            assertThat(faults(mended, Fault.Kind.DOUBLE)).hasSize(1);
        }
    }

    private static double total(Mended mended) {
        return contours(mended).stream().mapToDouble(Contour::area).sum();
    }
}
