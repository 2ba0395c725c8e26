package dev.oleander.proof.wire;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.WireCopy;
import dev.oleander.plan.wire.WireCut;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Leads keep clear of every profile but their own, and of their own but at its start. */
public final class WireLeadRule extends WireRule {

    @Override
    public String id() {
        return "wire-lead";
    }

    @Override
    public String title() {
        return "no lead of the wire crosses kept material";
    }

    /** A profile that is cut, where it lies when the work is turned to it. */
    private record Profile(String subject, Contour contour, Box box) {}

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        Map<Double, List<Profile>> byTurn = profiles(plan, input);
        visits(
                plan,
                (stop, visit) -> {
                    String own = Stop.id(visit.feature(), visit.copy());
                    List<Profile> profiles = byTurn.get(plan.copy(visit.copy()).turn());
                    for (WireCut cut : visit.cuts()) {
                        if (cut.from() != null) {
                            findings.checked(1);
                            lead(stop, own, cut, cut.from(), cut.begin(), profiles, findings);
                        }
                    }
                });
    }

    private static Map<Double, List<Profile>> profiles(WirePlan plan, ProofInput input) {
        Map<String, Feature> features = input.reading().byId();
        Map<Double, List<Profile>> profiles = new HashMap<>();
        plan.copies().forEach(c -> profiles.put(c.turn(), new ArrayList<>()));
        for (String subject : plan.settings().keySet()) {
            int dot = subject.lastIndexOf('.');
            Feature feature = features.get(subject.substring(0, dot));
            if (feature.isClosed()) {
                WireCopy copy = plan.copy(Integer.parseInt(subject.substring(dot + 1)));
                Contour contour = feature.contour().transformed(copy.placement().transform());
                profiles.get(copy.turn()).add(new Profile(subject, contour, contour.box()));
            }
        }
        return profiles;
    }

    private static void lead(
            Stop stop,
            String own,
            WireCut cut,
            Point from,
            Point to,
            List<Profile> profiles,
            Findings findings) {
        if (from.equals(to)) {
            return;
        }
        Line way = new Line(from, to);
        Box box = way.box().grown(cut.offset());
        for (Profile profile : profiles) {
            if (profile.subject().equals(own) || profile.box().distance(box) > 0) {
                continue;
            }
            Distances.Nearest nearest =
                    Distances.between(profile.contour(), new Path(List.of(way)));
            if (nearest.distance() < cut.offset() - 1e-6) {
                findings.add(
                        Severity.MUST_FIX,
                        stop.id(),
                        nearest.onFirst(),
                        nearest.distance(),
                        cut.offset(),
                        "%s: the way from the start hole comes within %s of another profile; the wire needs %s. Move the hole or the start."
                                .formatted(
                                        ProofInput.named(stop),
                                        Numbers.length(nearest.distance()),
                                        Numbers.length(cut.offset())));
                return;
            }
        }
    }
}
