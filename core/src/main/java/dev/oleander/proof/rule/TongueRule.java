package dev.oleander.proof.rule;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.Placement;
import dev.oleander.plan.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Tongues and webs of kept material that are narrower than the sheet is thick, over more than twice
 * that: they get hot and warp. Where a disc of that diameter does not fit beside the edge, the
 * material is too narrow; near a corner it never fits, but only over a short way.
 */
public final class TongueRule implements ProofRule {

    /** Samples of the edge per width that is looked for. */
    private static final double SAMPLES = 3;

    /** Times its width that a tongue is long at least; a right corner looks like one of it. */
    private static final double LONG = 2;

    /** Share of the width that rounding may take. */
    private static final double ROUNDING = 0.01;

    private static final int HALVINGS = 12;

    /** Shares of a narrow stretch at which its width is taken. */
    private static final double[] ALONG = {0.25, 0.5, 0.75};

    @Override
    public String id() {
        return "tongue";
    }

    @Override
    public String title() {
        return "kept material is not narrower than it is thick";
    }

    @Override
    public Outcome check(ProofInput input) {
        Optional<Double> thickness =
                input.run().stops().stream()
                        .map(Stop::row)
                        .flatMap(Optional::stream)
                        .map(row -> row.thickness())
                        .findFirst();
        List<Placement> placements = input.run().layout().placements();
        if (thickness.isEmpty() || placements.isEmpty()) {
            return new Outcome(0, List.of());
        }
        List<Finding> findings = new ArrayList<>();
        int checked = 0;
        for (Part part : input.reading().parts()) {
            // equal parts have the same tongues
            if (part.copyOf().isEmpty()) {
                checked++;
                new Search(part, thickness.get())
                        .longest()
                        .ifPresent(
                                t ->
                                        findings.add(
                                                finding(
                                                        part,
                                                        t,
                                                        placements.get(0),
                                                        thickness.get())));
            }
        }
        return new Outcome(checked, findings);
    }

    private static Finding finding(
            Part part, Tongue tongue, Placement placement, double thickness) {
        String sentence =
                "Part %s is only %s wide over %s: narrower than the sheet of %s is thick, it gets hot and may warp."
                        .formatted(
                                part.id().replace("p", ""),
                                Numbers.length(tongue.width()),
                                Numbers.length(tongue.length()),
                                Numbers.length(thickness));
        return Finding.of(
                Severity.NOTE,
                "",
                placement.transform().apply(tongue.place()),
                tongue.width(),
                thickness,
                sentence);
    }

    /** A narrow stretch along an edge; lengths mm. */
    private record Tongue(double length, double width, Point place) {}

    private static final class Search {
        private final Part part;
        private final double wide;
        private final SegmentIndex<Segment> edges;
        private Tongue longest;

        Search(Part part, double wide) {
            this.part = part;
            this.wide = wide;
            List<Segment> all = new ArrayList<>();
            part.region().contours().forEach(c -> all.addAll(c.segments()));
            this.edges = SegmentIndex.of(all);
        }

        Optional<Tongue> longest() {
            along(part.region().outer().turning(true));
            // material lies outside of an opening
            part.region().openings().forEach(o -> along(o.turning(false)));
            return Optional.ofNullable(longest);
        }

        /** Material lies to the left. */
        private void along(Contour contour) {
            double length = contour.length();
            int count = (int) Math.max(1, Math.ceil(length * SAMPLES / wide));
            double step = length / count;
            int run = 0;
            for (int i = 0; i < count; i++) {
                Contour.Station station = contour.stationAt(i * step);
                boolean narrow = !fits(station, wide);
                run = narrow ? run + 1 : 0;
                double stretch = run * step;
                boolean more = longest == null || stretch > longest.length();
                if (narrow && stretch > LONG * wide && more) {
                    longest = tongue(contour, i * step, stretch);
                }
            }
        }

        /** As wide as at the widest of some places: at a corner no disc fits at all. */
        private Tongue tongue(Contour contour, double end, double stretch) {
            Tongue widest = null;
            for (double share : ALONG) {
                Contour.Station place = contour.stationAt(end - share * stretch);
                double width = width(place);
                if (widest == null || width > widest.width()) {
                    widest = new Tongue(stretch, width, place.point());
                }
            }
            return widest;
        }

        /** Whether a disc that touches the edge here lies wholly in the material. */
        private boolean fits(Contour.Station station, double diameter) {
            Point centre = station.point().plus(station.direction().left().times(diameter / 2));
            double least = diameter / 2 * (1 - ROUNDING);
            boolean[] clear = {true};
            edges.visit(
                    new Box(centre, centre).grown(least),
                    i -> clear[0] = clear[0] && edges.get(i).distance(centre) >= least);
            return clear[0];
        }

        private double width(Contour.Station station) {
            double fitting = 0;
            double broken = wide;
            for (int i = 0; i < HALVINGS; i++) {
                double middle = (fitting + broken) / 2;
                if (fits(station, middle)) {
                    fitting = middle;
                } else {
                    broken = middle;
                }
            }
            return fitting;
        }
    }
}
