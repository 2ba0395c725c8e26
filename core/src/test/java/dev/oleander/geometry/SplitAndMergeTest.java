package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class SplitAndMergeTest {

    private final SegmentMerger merger = new SegmentMerger(1e-7);

    @Test
    void splittingKeepsEveryPieceOnItsCurve() {
        Arc arc = Arc.about(p(0, 0), 10, 0, Math.PI);
        List<Segment> pieces = SegmentSplitter.split(arc, List.of(0.75, 0.25), 1e-7);
        assertThat(pieces).hasSize(3);
        assertThat(pieces.get(0).start()).isEqualTo(arc.start());
        assertThat(pieces.get(2).end()).isEqualTo(arc.end());
        assertThat(pieces).allMatch(s -> Math.abs(((Arc) s).radius() - 10) < 1e-9);
        assertThat(pieces.get(1).length()).isCloseTo(arc.length() / 2, within(1e-9));
    }

    @Test
    void cutsAtEndsOrOnEachOtherCountOnce() {
        Line line = new Line(p(0, 0), p(10, 0));
        assertThat(SegmentSplitter.split(line, List.of(0.0, 1.0), 1e-7)).containsExactly(line);
        assertThat(SegmentSplitter.split(line, List.of(0.5, 0.5 + 1e-12), 1e-7)).hasSize(2);
    }

    @Property(tries = 200)
    void whatWasSplitMergesBack(
            @ForAll @Size(min = 1, max = 6) List<@DoubleRange(min = 0.01, max = 0.99) Double> cuts,
            @ForAll @DoubleRange(min = 0.05, max = 0.9) double bulge) {
        Segment whole = new Arc(p(0, 0), p(40, 9), bulge);
        List<Segment> pieces = SegmentSplitter.split(whole, cuts, 1e-3);
        Path merged = merger.merge(new Path(pieces));
        assertThat(merged.segments()).hasSize(1);
        assertThat(merged.length()).isCloseTo(whole.length(), within(1e-6));
    }

    @Test
    void onlyContinuationsAreMerged() {
        Contour square = Shapes.rectangle(10, 10);
        assertThat(merger.merge(square).segments()).hasSize(4);
        Path back = new Path(List.of(new Line(p(0, 0), p(10, 0)), new Line(p(10, 0), p(4, 0))));
        assertThat(merger.merge(back).segments()).hasSize(2);
        Path bend =
                new Path(
                        List.of(
                                new Line(p(0, 0), p(10, 0)),
                                new Arc(p(10, 0), p(20, 10), Math.tan(Math.PI / 8))));
        assertThat(merger.merge(bend).segments()).hasSize(2);
    }

    @Test
    void aCircleOfManyArcsKeepsAtLeastTwo() {
        List<Segment> arcs = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            Point from = Point.polar(5, Math.PI / 6 * i);
            Point to = Point.polar(5, Math.PI / 6 * ((i + 1) % 12));
            arcs.add(new Arc(from, to, Math.tan(Math.PI / 24)));
        }
        Contour merged = merger.merge(new Contour(arcs));
        assertThat(merged.segments().size()).isBetween(2, 3);
        assertThat(merged.area()).isCloseTo(25 * Math.PI, within(1e-6));
    }

    @Test
    void theJointOfAContourIsMergedToo() {
        Contour started = Shapes.rectangle(10, 10).startedAt(Shapes.rectangle(10, 10).stationAt(3));
        assertThat(started.segments()).hasSize(5);
        assertThat(merger.merge(started).segments()).hasSize(4);
    }

    @Test
    void theIndexFindsWhatTouchesInTheGivenOrder() {
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            lines.add(new Line(p(10 * i, 0), p(10 * i + 9, 5)));
        }
        SegmentIndex<Segment> index = SegmentIndex.of(lines);
        Box box = new Box(p(95, -1), p(131, 1));
        assertThat(index.positions(box)).containsExactly(9, 10, 11, 12, 13);
        assertThat(index.touching(box)).hasSize(5);
        assertThat(index.positions(new Box(p(0, 50), p(500, 60)))).isEmpty();
    }
}
