package dev.oleander.work.sheet.proof;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.Stations;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Tongues and webs of kept material that are narrower than the sheet is thick, over more than twice
 * that: they get hot and warp. Where a disc of that diameter does not fit beside the edge, the
 * material is too narrow; near a corner it never fits, but only over a short way.
 */
public final class TongueRule implements SheetRule {

    /** Samples of the edge per width that is looked for. */
    private static final double SAMPLES = 3;

    /** Times its width that a tongue is long at least; a right corner looks like one of it. */
    private static final double LONG = 2;

    /** Share of the width that rounding may take. */
    private static final double ROUNDING = 0.01;

    private static final int HALVINGS = 12;

    /** Sine of a turn from which on a joint is a corner. */
    private static final double CORNER = 0.02;

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
                        .map(s -> SheetCut.of(s).row())
                        .flatMap(Optional::stream)
                        .map(row -> row.thickness())
                        .findFirst();
        if (thickness.isEmpty()) {
            return new Outcome(0, List.of());
        }
        List<Finding> findings = new ArrayList<>();
        int checked = 0;
        for (Part part : input.reading().parts()) {
            // equal parts have the same tongues
            Optional<Placement> placed = input.run().layout().first(part);
            if (part.copyOf().isEmpty() && placed.isPresent()) {
                checked++;
                new Search(part, thickness.get())
                        .narrowest()
                        .ifPresent(
                                t -> findings.add(finding(part, t, placed.get(), thickness.get())));
            }
        }
        return new Outcome(checked, findings);
    }

    private static Finding finding(
            Part part, Tongue tongue, Placement placement, double thickness) {
        String sentence =
                "%s is only %s wide at its narrowest, over %s narrower than the sheet of %s is thick: it gets hot and may warp."
                        .formatted(
                                PartRef.label(part.id()),
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
        private Tongue narrowest;

        Search(Part part, double wide) {
            this.part = part;
            this.wide = wide;
            List<Segment> all = new ArrayList<>();
            part.region().contours().forEach(c -> all.addAll(c.segments()));
            this.edges = SegmentIndex.of(all);
        }

        Optional<Tongue> narrowest() {
            along(part.region().outer().turning(true));
            // material lies outside of an opening
            part.region().openings().forEach(o -> along(o.turning(false)));
            return Optional.ofNullable(narrowest);
        }

        /** Material lies to the left. */
        private void along(Contour contour) {
            Stations stations = new Stations(contour);
            double length = stations.length();
            int count = (int) Math.max(1, Math.ceil(length * SAMPLES / wide));
            double step = length / count;
            double[] corners = corners(contour);
            int run = 0;
            for (int i = 0; i <= count; i++) {
                boolean narrow = i < count && !fits(stations.at(i * step), wide);
                if (!narrow && run * step > LONG * wide) {
                    keep(tongue(stations, corners, (i - run) * step, run * step));
                }
                run = narrow ? run + 1 : 0;
            }
        }

        private void keep(Tongue tongue) {
            if (narrowest == null || tongue.width() < narrowest.width()) {
                narrowest = tongue;
            }
        }

        /** Distances along the contour at which it turns. */
        private static double[] corners(Contour contour) {
            List<Double> corners = new ArrayList<>();
            List<Segment> segments = contour.segments();
            Point in = segments.get(segments.size() - 1).direction(1);
            double at = 0;
            for (Segment segment : segments) {
                Point out = segment.direction(0);
                if (Math.abs(in.cross(out)) > CORNER || in.dot(out) < 0) {
                    corners.add(at);
                }
                in = segment.direction(1);
                at += segment.length();
            }
            corners.add(at);
            return corners.stream().mapToDouble(c -> c).toArray();
        }

        /** At its narrowest; beside a corner no disc fits, which says nothing of the width. */
        private Tongue tongue(Stations stations, double[] corners, double from, double length) {
            Tongue least = null;
            double farthest = -1;
            for (double at = from; at < from + length; at += wide / SAMPLES) {
                double away = away(corners, at);
                Contour.Station place = stations.at(at);
                boolean clear = farthest >= wide / 2;
                boolean looks = clear ? away >= wide / 2 : away > farthest;
                if (looks) {
                    double width = width(place);
                    if (!clear || width < least.width()) {
                        least = new Tongue(length, width, place.point());
                        farthest = away;
                    }
                }
            }
            return least;
        }

        /** From the nearest corner. */
        private static double away(double[] corners, double at) {
            int found = Arrays.binarySearch(corners, at);
            int next = found < 0 ? -found - 1 : found;
            double before = next == 0 ? Double.POSITIVE_INFINITY : at - corners[next - 1];
            double after = next == corners.length ? Double.POSITIVE_INFINITY : corners[next] - at;
            return Math.min(before, after);
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
