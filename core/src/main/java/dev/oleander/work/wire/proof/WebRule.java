package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.proof.WireProfiles.Plane;
import dev.oleander.work.wire.proof.WireProfiles.Profile;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Webs that stay between two profiles, at their narrowest place, below and above; profiles that lie
 * over each other.
 */
public final class WebRule extends WireRule {

    /** mm; a web as narrow as this is none. */
    private static final double NOTHING = 1e-2;

    @Override
    public String id() {
        return "wire-web";
    }

    @Override
    public String title() {
        return "webs between profiles are as wide as the work's height asks for";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        WireProfiles profiles = new WireProfiles(plan, input.reading().byId());
        double height = plan.task().height();
        double least = WireUnit.of(plan.task().machine()).leastWeb(height);
        for (double turn : profiles.turns()) {
            Map<String, Web> narrowest = new TreeMap<>();
            for (Profile profile : profiles.at(turn)) {
                findings.checked(1);
                for (Plane plane : Plane.values()) {
                    around(profiles, profile, plane, least, narrowest);
                }
                swallowed(profiles.at(turn), profile, narrowest);
            }
            narrowest.values().forEach(web -> tell(web, least, findings));
        }
    }

    /** What is between two profiles at its narrowest place, mm. */
    private record Web(Profile a, Profile b, double width, Point place) {}

    private static void around(
            WireProfiles profiles,
            Profile profile,
            Plane plane,
            double least,
            Map<String, Web> narrowest) {
        Map<Profile, Distances.Nearest> found = new HashMap<>();
        for (Segment segment : profile.at(plane).segments()) {
            for (SegmentIndex.Entry<Profile> edge :
                    profiles.near(profile.turn(), plane, segment.box(), least)) {
                // each pair once
                if (edge.item().subject().compareTo(profile.subject()) > 0) {
                    found.merge(
                            edge.item(),
                            Distances.between(segment, edge.segment()),
                            (p, q) -> q.distance() < p.distance() ? q : p);
                }
            }
        }
        found.forEach(
                (other, near) -> {
                    boolean counts =
                            near.distance() < NOTHING || isKeptBetween(profile, other, plane);
                    if (near.distance() < least && counts) {
                        Point place = near.onFirst().plus(near.onSecond()).times(0.5);
                        narrowest.merge(
                                profile.subject() + "|" + other.subject(),
                                new Web(profile, other, near.distance(), place),
                                (p, q) -> q.width() < p.width() ? q : p);
                    }
                });
    }

    /** An opening in another one, with no part between them, lies over it as a whole. */
    private static void swallowed(List<Profile> all, Profile profile, Map<String, Web> narrowest) {
        if (profile.isKeptInside()) {
            return;
        }
        Profile around = null;
        for (Profile other : all) {
            boolean nearer = around == null || other.lower().area() < around.lower().area();
            if (nearer && isIn(profile.lower(), other.lower())) {
                around = other;
            }
        }
        if (around != null && !around.isKeptInside()) {
            Web none = new Web(profile, around, 0, profile.lower().start());
            narrowest.put(profile.subject() + "|" + around.subject(), none);
        }
    }

    /** Two openings beside each other, or an opening in a part. */
    private static boolean isKeptBetween(Profile a, Profile b, Plane plane) {
        boolean aInB = isIn(a.at(plane), b.at(plane));
        boolean bInA = isIn(b.at(plane), a.at(plane));
        if (!aInB && !bInA) {
            return !a.isKeptInside() && !b.isKeptInside();
        }
        return aInB ? b.isKeptInside() && !a.isKeptInside() : a.isKeptInside() && !b.isKeptInside();
    }

    private static boolean isIn(Contour inner, Contour outer) {
        return inner.area() < outer.area()
                && inner.box().beyond(outer.box()) <= 0
                && outer.contains(inner.start());
    }

    private static void tell(Web web, double least, Findings findings) {
        boolean none = web.width() < NOTHING;
        String sentence =
                none
                        ? "%s and %s lie over each other or touch: no web is between them. Move them apart."
                                .formatted(web.a().name(), web.b().name())
                        : "The web between %s and %s is only %s wide at its narrowest; work of this height asks for %s."
                                .formatted(
                                        web.a().name(),
                                        web.b().name(),
                                        Numbers.length(web.width()),
                                        Numbers.length(least));
        findings.add(
                none ? Severity.MUST_FIX : Severity.LOOK,
                "",
                web.place(),
                web.width(),
                least,
                sentence);
    }
}
