package dev.oleander.work.sheet.proof;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Webs between two openings of a part, and between an opening and its edge, at their narrowest
 * place: nothing there at all, or less than the heat of the kerf leaves standing.
 */
public final class ThinWebRule implements SheetRule {

    /** mm; a web as narrow as this is none. */
    private static final double NOTHING = 1e-2;

    /** Share of the thickness below which a web burns or breaks away. */
    private static final double THIN = 0.25;

    @Override
    public String id() {
        return "web";
    }

    @Override
    public String title() {
        return "webs of the parts are there, and wide enough to stay";
    }

    @Override
    public Outcome check(ProofInput input) {
        Optional<CutRow> row =
                input.run().stops().stream()
                        .map(s -> SheetCut.of(s).row())
                        .flatMap(Optional::stream)
                        .findFirst();
        List<Finding> findings = new ArrayList<>();
        int checked = 0;
        for (Part part : input.reading().parts()) {
            // equal parts have the same webs
            if (part.copyOf().isEmpty()) {
                checked++;
                Optional<Placement> placed = input.run().layout().first(part);
                if (row.isPresent() && placed.isPresent()) {
                    double limit = Math.max(row.get().kerf(), THIN * row.get().thickness());
                    narrowest(part, limit)
                            .map(web -> finding(part, web, placed.get(), limit))
                            .ifPresent(findings::add);
                }
            }
        }
        return new Outcome(checked, findings);
    }

    /** The narrowest web between two contours of a part, if it is narrower than a limit, mm. */
    private static Optional<Distances.Nearest> narrowest(Part part, double limit) {
        List<SegmentIndex.Entry<Contour>> edges = new ArrayList<>();
        for (Contour contour : part.region().contours()) {
            contour.segments().forEach(s -> edges.add(new SegmentIndex.Entry<>(contour, s)));
        }
        SegmentIndex<SegmentIndex.Entry<Contour>> index = SegmentIndex.ofEntries(edges);
        Distances.Nearest least = null;
        for (Contour opening : part.region().openings()) {
            for (Segment segment : opening.segments()) {
                for (SegmentIndex.Entry<Contour> other :
                        index.touching(segment.box().grown(limit))) {
                    if (other.item() != opening) {
                        Distances.Nearest found = Distances.between(segment, other.segment());
                        boolean nearer = least == null || found.distance() < least.distance();
                        least = nearer ? found : least;
                    }
                }
            }
        }
        return Optional.ofNullable(least).filter(n -> n.distance() < limit);
    }

    private static Finding finding(
            Part part, Distances.Nearest web, Placement placement, double limit) {
        Point place = web.onFirst().plus(web.onSecond()).times(0.5);
        String number = PartRef.label(part.id());
        boolean none = web.distance() < NOTHING;
        String sentence =
                none
                        ? "%s has no material between two of its contours: they touch at X %s, Y %s of the drawing."
                                .formatted(
                                        number,
                                        Numbers.plain(place.x(), 3),
                                        Numbers.plain(place.y(), 3))
                        : "%s has a web of only %s at its narrowest place; below %s it burns or breaks away."
                                .formatted(
                                        number,
                                        Numbers.length(web.distance()),
                                        Numbers.length(limit));
        return Finding.of(
                none ? Severity.MUST_FIX : Severity.LOOK,
                "",
                placement.transform().apply(place),
                web.distance(),
                limit,
                sentence);
    }
}
