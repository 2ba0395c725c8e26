package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.SegmentSplitter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Line work drawn twice, whole or in part, in either direction. Segments that lie on each other are
 * split at each other's ends, so that nothing joined there comes loose, and of equal stretches one
 * is kept. A closed entity is kept before loose pieces and is never split.
 */
final class DoubledPieces {

    private final MendOptions options;
    private final List<Fault> faults;
    private final Coverage coverage;

    DoubledPieces(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
        this.coverage = new Coverage(options.gap());
    }

    List<Piece> drop(List<Entity> open, List<Joined> loops) {
        List<Segment> fixed = loops.stream().flatMap(l -> l.chain().segments().stream()).toList();
        List<Piece> pieces = Piece.allOf(open);
        boolean[] involved = involved(pieces, fixed);
        List<Piece> doubled = new ArrayList<>();
        List<Piece> single = new ArrayList<>(pieces.size());
        for (int i = 0; i < pieces.size(); i++) {
            (involved[i] ? doubled : single).add(pieces.get(i));
        }
        if (doubled.isEmpty()) {
            return pieces;
        }
        List<Segment> near = new ArrayList<>();
        for (int i = 0; i < fixed.size(); i++) {
            if (involved[pieces.size() + i]) {
                near.add(fixed.get(i));
            }
        }
        single.addAll(
                new DoubleSifter(options, faults).sift(splitAtEnds(doubled, near), near, single));
        single.sort(Comparator.comparingInt(p -> p.entity().ordinal()));
        return single;
    }

    /** Which pieces, and after them which fixed segments, share a stretch with another. */
    private boolean[] involved(List<Piece> pieces, List<Segment> fixed) {
        List<Segment> all = new ArrayList<>(pieces.size() + fixed.size());
        pieces.forEach(p -> all.add(p.segment()));
        all.addAll(fixed);
        boolean[] involved = new boolean[all.size()];
        boolean complete =
                SegmentIndex.pairs(
                        all,
                        options.gap(),
                        MendOptions.MOST_PAIRS,
                        (i, j) -> {
                            Segment a = all.get(i);
                            Segment b = all.get(j);
                            boolean open = Math.min(i, j) < pieces.size();
                            if (open && Coverage.isSameKind(a, b) && sharesStretch(a, b)) {
                                involved[i] = true;
                                involved[j] = true;
                            }
                            return true;
                        });
        if (!complete) {
            faults.add(
                    Fault.ofFile(
                            "Line work drawn twice was not looked for everywhere: more than %d pairs of lines lie over each other."
                                    .formatted(MendOptions.MOST_PAIRS)));
        }
        return involved;
    }

    private boolean sharesStretch(Segment a, Segment b) {
        return overlaps(a, b) && (shares(a, b, places(a, b)) || shares(b, a, places(b, a)));
    }

    /** Whether a stretch longer than the gap can lie on both; quickly told for lines only. */
    private boolean overlaps(Segment a, Segment b) {
        if (a instanceof Arc) {
            return true;
        }
        Box first = a.box();
        Box second = b.box();
        double width =
                overlap(first.min().x(), first.max().x(), second.min().x(), second.max().x());
        double height =
                overlap(first.min().y(), first.max().y(), second.min().y(), second.max().y());
        return width * width + height * height > options.gap() * options.gap();
    }

    private double overlap(double low, double high, double otherLow, double otherHigh) {
        double from = Math.max(low, otherLow - options.gap());
        return Math.max(0, Math.min(high, otherHigh + options.gap()) - from);
    }

    private List<Piece> splitAtEnds(List<Piece> pieces, List<Segment> fixed) {
        List<Segment> all = new ArrayList<>(pieces.stream().map(Piece::segment).toList());
        all.addAll(fixed);
        SegmentIndex<Segment> index = SegmentIndex.of(all);
        List<Piece> split = new ArrayList<>(pieces.size());
        for (int i = 0; i < pieces.size(); i++) {
            Segment segment = pieces.get(i).segment();
            List<Double> cuts = new ArrayList<>();
            for (int j : index.positions(segment.box().grown(options.gap()))) {
                if (j != i && Coverage.isSameKind(segment, all.get(j))) {
                    cuts.addAll(endsOn(segment, all.get(j)));
                }
            }
            Piece whole = pieces.get(i);
            SegmentSplitter.split(segment, cuts, leastStub())
                    .forEach(s -> split.add(whole.with(s)));
        }
        return split;
    }

    /** Where ends of {@code other} lie on {@code segment}, if the two share a stretch. */
    private List<Double> endsOn(Segment segment, Segment other) {
        double[] cuts = places(segment, other);
        if (!shares(segment, other, cuts)) {
            return List.of();
        }
        return Arrays.stream(cuts, 1, cuts.length - 1).boxed().toList();
    }

    /** Both ends of a segment, and between them where it is nearest to the ends of another. */
    private double[] places(Segment segment, Segment other) {
        double least = leastStub() / segment.length();
        double a = segment.nearest(other.start());
        double b = segment.nearest(other.end());
        double low = Math.min(a, b);
        double high = Math.max(a, b);
        boolean cutsLow = low > least && low < 1 - least;
        boolean cutsHigh = high > least && high < 1 - least;
        if (cutsLow && cutsHigh) {
            return new double[] {0, low, high, 1};
        }
        if (cutsLow || cutsHigh) {
            return new double[] {0, cutsLow ? low : high, 1};
        }
        return new double[] {0, 1};
    }

    /** So short that what sticks out by less still lies on the other, also a little beside it. */
    private double leastStub() {
        return options.gap() / 2;
    }

    private boolean shares(Segment segment, Segment other, double[] cuts) {
        for (int i = 1; i < cuts.length; i++) {
            if (liesOn(segment, cuts[i - 1], cuts[i], other)) {
                return true;
            }
        }
        return false;
    }

    private boolean liesOn(Segment segment, double from, double to, Segment other) {
        return (to - from) * segment.length() > options.gap()
                && coverage.lies(segment, from, to, other);
    }
}
