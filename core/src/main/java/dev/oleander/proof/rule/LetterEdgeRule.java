package dev.oleander.proof.rule;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Letters that are marked and run over a line that is cut stand on two pieces, or half on none. */
public final class LetterEdgeRule implements ProofRule {

    private static final double MEETS = 1e-6;

    @Override
    public String id() {
        return "edge";
    }

    @Override
    public String title() {
        return "letters that are marked lie on one piece";
    }

    @Override
    public Outcome check(ProofInput input) {
        Letters drawn = new Letters(input.reading());
        List<Feature> letters =
                input.reading().features().stream()
                        .filter(f -> f.purpose() == Purpose.MARK && drawn.are(f))
                        .toList();
        SegmentIndex<Segment> cut = SegmentIndex.of(letters.isEmpty() ? List.of() : cut(input));
        List<Point> over = new ArrayList<>();
        letters.forEach(letter -> crossing(letter, cut).ifPresent(over::add));
        return new Outcome(
                letters.size(), over.isEmpty() ? List.of() : List.of(finding(input, over)));
    }

    private static List<Segment> cut(ProofInput input) {
        return input.reading().features().stream()
                .filter(f -> f.purpose() == Purpose.CUT)
                .flatMap(f -> f.chain().segments().stream())
                .toList();
    }

    /** Where a letter first meets what is cut. */
    private static Optional<Point> crossing(Feature letter, SegmentIndex<Segment> cut) {
        for (Segment own : letter.chain().segments()) {
            for (int i : cut.positions(own.box().grown(MEETS))) {
                List<Intersections.Crossing> met = Intersections.of(own, cut.get(i), MEETS);
                if (!met.isEmpty()) {
                    return Optional.of(own.at(met.get(0).onFirst()));
                }
            }
        }
        return Optional.empty();
    }

    /** All in one: who moves the text has moved all of it. */
    private static Finding finding(ProofInput input, List<Point> over) {
        Point first = over.get(0);
        Point there = Letters.onSheet(input, first);
        String sentence =
                "%d %s of letters %s over a line that is cut, the first at %s, %s: move the text, or make it smaller."
                        .formatted(
                                over.size(),
                                over.size() == 1 ? "line" : "lines",
                                over.size() == 1 ? "runs" : "run",
                                Numbers.plain(first.x(), 1),
                                Numbers.plain(first.y(), 1));
        return Finding.of(Severity.LOOK, "", there, over.size(), 0, sentence);
    }
}
