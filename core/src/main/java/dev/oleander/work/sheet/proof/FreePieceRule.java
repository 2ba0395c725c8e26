package dev.oleander.work.sheet.proof;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.material.FreePiece;
import dev.oleander.motion.Item;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;

/** The head, while it is down, never travels across a piece that has come free. */
public final class FreePieceRule implements SheetRule {

    private static final double ROUNDING = 1e-6;

    @Override
    public String id() {
        return "free";
    }

    @Override
    public String title() {
        return "the head never travels low across a free piece";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<SegmentIndex.Entry<FreePiece>> edges = new ArrayList<>();
        for (FreePiece piece : input.material().pieces()) {
            if (piece.rest().isInTheWay()) {
                for (Segment segment : piece.region().outer().segments()) {
                    edges.add(new SegmentIndex.Entry<>(piece, segment));
                }
            }
        }
        SegmentIndex<SegmentIndex.Entry<FreePiece>> index = SegmentIndex.ofEntries(edges);
        List<Finding> findings = new ArrayList<>();
        boolean down = false;
        int checked = 0;
        List<Item> items = input.program().items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof Item.Event event) {
                down = event.kind().isDownAfter(down);
            } else if (down && items.get(i) instanceof Item.Rapid rapid) {
                checked++;
                check(index, i, rapid, findings);
            }
        }
        return new Outcome(checked, findings);
    }

    private static void check(
            SegmentIndex<SegmentIndex.Entry<FreePiece>> index,
            int item,
            Item.Rapid rapid,
            List<Finding> findings) {
        Line way = new Line(rapid.from(), rapid.to());
        for (SegmentIndex.Entry<FreePiece> near : index.touching(way.box())) {
            FreePiece piece = near.item();
            boolean own = piece.stop().id().equals(rapid.origin().stop());
            if (piece.item() < item && !own && isCrossed(piece, way)) {
                String sentence =
                        "The way to %s runs low across %s, which came free at %s."
                                .formatted(
                                        rapid.origin().stop(),
                                        ProofInput.named(piece.stop()),
                                        Numbers.duration(piece.moment()));
                findings.add(
                        Finding.of(
                                Severity.MUST_FIX,
                                rapid.origin().stop(),
                                rapid.from(),
                                0,
                                0,
                                sentence));
                return;
            }
        }
    }

    /** Waste is smaller than its drawn line by the kerf, from within which the head leaves. */
    private static boolean isCrossed(FreePiece piece, Line way) {
        double kerf = SheetCut.of(piece.stop()).row().orElseThrow().kerf();
        Contour drawn = piece.region().outer();
        List<Contour> edges =
                piece.kept()
                        ? List.of(drawn)
                        : Offsetter.round().offset(drawn, -kerf).stream()
                                .map(Region::outer)
                                .toList();
        return edges.stream().anyMatch(edge -> isCrossed(edge, way));
    }

    private static boolean isCrossed(Contour edge, Line way) {
        return edge.contains(way.middle())
                || edge.segments().stream()
                        .anyMatch(s -> !Intersections.of(way, s, ROUNDING).isEmpty());
    }
}
