package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.proof.WireProfiles.Plane;
import dev.oleander.work.wire.proof.WireProfiles.Profile;
import dev.oleander.work.wire.proof.WireWays.Part;
import dev.oleander.work.wire.proof.WireWays.Stretch;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * The swath of everything that the wire does with the process on - leads, passes, ways off the
 * profile and back, links - leaves the finished flanks of all profiles of all copies alone, in the
 * lower and in the upper plane.
 */
public final class WireGougeRule extends WireRule {

    /** mm */
    private static final double TOLERANCE = 1e-3;

    /** Places of a stretch at which the depth of a gouge is measured. */
    private static final int PLACES = 64;

    @Override
    public String id() {
        return "wire-gouge";
    }

    @Override
    public String title() {
        return "nothing that the wire cuts reaches into kept material";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        WireProfiles profiles = new WireProfiles(plan, input.reading().byId());
        visits(plan, (stop, visit) -> new Look(plan, profiles, stop, visit, findings).all());
    }

    /** The deepest cut into a profile, mm. */
    private record Gouge(Profile into, int pass, Part part, double depth, Point place) {}

    /** Looks at one visit. */
    private static final class Look {
        private final WireSettings settings;
        private final WireProfiles profiles;
        private final Stop stop;
        private final WireVisit visit;
        private final Findings findings;
        private final Profile own;
        private final double turn;
        private final Map<String, Gouge> worst = new LinkedHashMap<>();

        Look(WirePlan plan, WireProfiles profiles, Stop stop, WireVisit visit, Findings findings) {
            String subject = visit.subject();
            this.settings = plan.settings().get(subject);
            this.profiles = profiles;
            this.stop = stop;
            this.visit = visit;
            this.findings = findings;
            this.own = profiles.of(subject);
            this.turn = plan.copy(visit.copy()).turn();
        }

        void all() {
            for (WireCut cut : visit.cuts()) {
                List<Stretch> stretches = WireWays.of(cut);
                findings.checked(stretches.size());
                for (Plane plane : Plane.values()) {
                    wrongSide(cut, stretches.get(0), plane);
                    stretches.forEach(s -> stretch(cut, s, plane));
                }
            }
            worst.values().forEach(this::tell);
        }

        private double half(WireCut cut) {
            return settings.row().width(cut.pass()) / 2;
        }

        /** With a land only the first pass runs along the surface. */
        private Contour ownEdge(WireCut cut, Plane plane) {
            boolean upright = own.relief() && cut.pass() > 1;
            return upright ? own.drawn() : own.at(plane);
        }

        /** Crossing a line is seen where it happens; here it is seen on which side a cut begins. */
        private void wrongSide(WireCut cut, Stretch first, Plane plane) {
            Point begin = plane.of(first.way()).start();
            if (own != null) {
                Contour edge = ownEdge(cut, plane);
                if (edge.contains(begin) == own.isKeptInside()) {
                    note(own, cut, first, depthIntoOwn(cut, first, edge, plane));
                }
            }
            for (Profile other : profiles.at(turn)) {
                boolean inPart =
                        other != own
                                && other.isKeptInside()
                                && other.at(plane).contains(begin)
                                && !isIn(other);
                if (inPart) {
                    double off = other.at(plane).nearest(begin).point().distance(begin);
                    note(other, cut, first, new Depth(half(cut) + off, begin));
                }
            }
        }

        private boolean isIn(Profile other) {
            return own != null && other.lower().contains(own.lower().start());
        }

        private void stretch(WireCut cut, Stretch stretch, Plane plane) {
            Segment way = plane.of(stretch.way());
            double half = half(cut);
            Map<Profile, Double> nearest = new LinkedHashMap<>();
            for (SegmentIndex.Entry<Profile> edge :
                    profiles.near(turn, plane, way.box(), half - TOLERANCE)) {
                boolean other = edge.item() != own || !own.relief() || cut.pass() == 1;
                if (other) {
                    double off = Distances.between(way, edge.segment()).distance();
                    nearest.merge(edge.item(), off, Math::min);
                }
            }
            if (own != null && own.relief() && cut.pass() > 1) {
                Path path = new Path(List.of(way));
                nearest.put(own, Distances.between(own.drawn(), path).distance());
            }
            nearest.forEach(
                    (profile, off) -> {
                        if (off < half - TOLERANCE) {
                            note(profile, cut, stretch, depth(profile, cut, stretch, plane));
                        }
                    });
        }

        private Depth depth(Profile profile, WireCut cut, Stretch stretch, Plane plane) {
            if (profile == own) {
                return depthIntoOwn(cut, stretch, ownEdge(cut, plane), plane);
            }
            Contour edge = profile.at(plane);
            return deepest(
                    plane.of(stretch.way()),
                    p -> {
                        double off = edge.nearest(p).point().distance(p);
                        boolean inPart = profile.isKeptInside() && edge.contains(p);
                        return inPart ? half(cut) + off : half(cut) - off;
                    });
        }

        private Depth depthIntoOwn(WireCut cut, Stretch stretch, Contour edge, Plane plane) {
            return deepest(
                    plane.of(stretch.way()),
                    p -> {
                        double off = edge.nearest(p).point().distance(p);
                        boolean kept = edge.contains(p) == own.isKeptInside();
                        return kept ? half(cut) + off : half(cut) - off;
                    });
        }

        private static Depth deepest(Segment way, ToDoubleFunction<Point> depthAt) {
            Depth deepest = new Depth(0, way.start());
            for (int i = 0; i <= PLACES; i++) {
                Point p = way.at((double) i / PLACES);
                double depth = depthAt.applyAsDouble(p);
                if (depth > deepest.mm()) {
                    deepest = new Depth(depth, p);
                }
            }
            return deepest;
        }

        private void note(Profile into, WireCut cut, Stretch stretch, Depth depth) {
            Gouge before = worst.get(into.subject());
            if (before == null || depth.mm() > before.depth()) {
                worst.put(
                        into.subject(),
                        new Gouge(into, cut.pass(), stretch.part(), depth.mm(), depth.place()));
            }
        }

        private void tell(Gouge gouge) {
            String into =
                    gouge.into() == own
                            ? "the finished flank"
                            : "the profile of %s".formatted(gouge.into().name());
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    gouge.place(),
                    gouge.depth(),
                    TOLERANCE,
                    "%s: %s cuts %s into %s. %s"
                            .formatted(
                                    ProofInput.named(stop),
                                    what(gouge),
                                    Numbers.length(gouge.depth()),
                                    into,
                                    remedy(gouge)));
        }

        private static String what(Gouge gouge) {
            return switch (gouge.part()) {
                case LEAD -> "the way to pass %d".formatted(gouge.pass());
                case PROFILE -> "pass %d".formatted(gouge.pass());
                case OFF -> "the way off after pass %d".formatted(gouge.pass());
            };
        }

        private String remedy(Gouge gouge) {
            return switch (gouge.part()) {
                case LEAD -> "Move the hole or the start.";
                case OFF -> "Make the way off shorter or begin elsewhere.";
                case PROFILE ->
                        gouge.into() == own
                                ? "Turn the side back, or take data with a smaller offset."
                                : "Move the copies apart.";
            };
        }
    }

    /** How deep a swath reaches, and where. */
    private record Depth(double mm, Point place) {}
}
