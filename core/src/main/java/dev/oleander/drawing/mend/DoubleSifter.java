package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Of pieces that lie on each other keeps one: the longer, so that a stub that sticks out of its own
 * double does not stay alone; of equally long ones the first.
 */
final class DoubleSifter {

    private final MendOptions options;
    private final List<Fault> faults;
    private final Coverage coverage;

    DoubleSifter(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
        this.coverage = new Coverage(options.gap());
    }

    /**
     * @param pieces split at each other's ends
     * @param fixed segments that are kept in any case
     * @param single pieces without a double, whose ends others may meet
     */
    List<Piece> sift(List<Piece> pieces, List<Segment> fixed, List<Piece> single) {
        return new Run(pieces, fixed).sift(single);
    }

    private final class Run {
        private final List<Piece> pieces;
        private final int fixed;
        private final List<Segment> all;
        private final SegmentIndex<Segment> index;
        private final boolean[] isKept;

        /** Place among the kept pieces. */
        private final int[] place;

        private final List<Piece> kept = new ArrayList<>();
        private final Overhangs overhangs = new Overhangs(options);
        private final Map<Entity, List<Segment>> doubles = new LinkedHashMap<>();

        Run(List<Piece> pieces, List<Segment> fixed) {
            this.pieces = pieces;
            this.fixed = fixed.size();
            this.all = new ArrayList<>(fixed);
            pieces.forEach(p -> all.add(p.segment()));
            this.index = SegmentIndex.of(all);
            this.isKept = new boolean[all.size()];
            this.place = new int[all.size()];
            for (int i = 0; i < fixed.size(); i++) {
                isKept[i] = true;
            }
        }

        List<Piece> sift(List<Piece> single) {
            IntStream.range(fixed, all.size())
                    .boxed()
                    .sorted(Comparator.comparingLong((Integer i) -> -steps(i)))
                    .forEach(this::judge);
            overhangs.stretch(kept, single);
            doubles.forEach(DoubleSifter.this::report);
            return kept;
        }

        /** Length in whole tolerances: doubles differ by less and stay in the order drawn. */
        private long steps(int i) {
            return Math.round(all.get(i).length() / (4 * options.gap()));
        }

        private void judge(int i) {
            Segment segment = all.get(i);
            Piece piece = pieces.get(i - fixed);
            if (isCovered(segment)) {
                doubles.computeIfAbsent(piece.entity(), e -> new ArrayList<>()).add(segment);
            } else {
                isKept[i] = true;
                place[i] = kept.size();
                kept.add(piece);
            }
        }

        private boolean isCovered(Segment segment) {
            boolean covered = false;
            for (int j : index.positions(segment.box().grown(options.gap()))) {
                Segment other = all.get(j);
                boolean lies =
                        isKept[j]
                                && Coverage.isSameKind(segment, other)
                                && coverage.lies(segment, 0, 1, other);
                covered |= lies;
                if (lies && j >= fixed) {
                    overhangs.note(place[j], other, segment);
                }
            }
            return covered;
        }
    }

    private void report(Entity entity, List<Segment> doubled) {
        double length = doubled.stream().mapToDouble(Segment::length).sum();
        if (length <= 2 * options.gap()) {
            // stubs of a line that is kept but for its ends
            return;
        }
        String sentence =
                "%s on layer %s (line %d of the file) lies on other line work over %s; one is kept."
                        .formatted(
                                entity.type(),
                                entity.layer(),
                                entity.line(),
                                Numbers.length(length));
        faults.add(Fault.mended(Fault.Kind.DOUBLE, doubled.get(0).middle(), length, sentence));
    }
}
