package dev.oleander.work.wire.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All closed profiles of all copies as they are finished, where they lie when the work is turned to
 * them, below and above.
 */
final class WireProfiles {

    /** A plane of the work. */
    enum Plane {
        LOWER,
        UPPER;

        Segment of(Ruling ruling) {
            return this == LOWER ? ruling.lower() : ruling.upper();
        }
    }

    /**
     * A finished edge.
     *
     * @param subject feature and copy
     * @param name for sentences
     * @param relief whether only the first pass runs along it, the others along the drawn line
     */
    record Profile(
            String subject,
            String name,
            WireSettings settings,
            double turn,
            Contour lower,
            Contour upper,
            Contour drawn,
            boolean relief) {

        Contour at(Plane plane) {
            return plane == Plane.LOWER ? lower : upper;
        }

        boolean isKeptInside() {
            return settings.kind() == WireKind.PUNCH;
        }

        boolean isUpright() {
            return lower == upper;
        }
    }

    private final Map<String, Profile> bySubject = new HashMap<>();
    private final Map<Double, List<Profile>> byTurn = new HashMap<>();
    private final Map<String, SegmentIndex<SegmentIndex.Entry<Profile>>> edges = new HashMap<>();

    WireProfiles(WirePlan plan, Map<String, Feature> features) {
        for (String subject : plan.settings().keySet().stream().sorted().toList()) {
            WireSettings settings = plan.settings().get(subject);
            if (settings.kind() != WireKind.OPEN) {
                Profile profile = profile(plan, features, subject, settings);
                bySubject.put(subject, profile);
                byTurn.computeIfAbsent(profile.turn(), t -> new ArrayList<>()).add(profile);
            }
        }
        byTurn.forEach(
                (turn, profiles) ->
                        Arrays.stream(Plane.values())
                                .forEach(p -> edges.put(key(turn, p), index(profiles, p))));
    }

    private static Profile profile(
            WirePlan plan, Map<String, Feature> features, String subject, WireSettings settings) {
        FeatureKey key = FeatureKey.parse(subject);
        WireCopy copy = plan.copy(key.copy().orElseThrow());
        List<Ruling> surface = plan.surfaces().get(subject);
        Contour lower = Ruling.closed(surface, Ruling::lower);
        boolean upright = surface.stream().allMatch(Ruling::isUpright);
        Contour upper = upright ? lower : Ruling.closed(surface, Ruling::upper);
        boolean relief = settings.taper().land() != null;
        Feature feature = features.get(key.feature());
        String name = "%s, copy %d".formatted(FeatureNames.of(feature), copy.number());
        Contour drawn = feature.contour().transformed(copy.placement().transform());
        return new Profile(subject, name, settings, copy.turn(), lower, upper, drawn, relief);
    }

    private static String key(double turn, Plane plane) {
        return plane + "@" + turn;
    }

    private static SegmentIndex<SegmentIndex.Entry<Profile>> index(
            List<Profile> profiles, Plane plane) {
        List<SegmentIndex.Entry<Profile>> entries = new ArrayList<>();
        for (Profile profile : profiles) {
            for (Segment segment : profile.at(plane).segments()) {
                entries.add(new SegmentIndex.Entry<>(profile, segment));
            }
        }
        return SegmentIndex.ofEntries(entries);
    }

    /** The profile of a feature and copy, null for open lines. */
    Profile of(String subject) {
        return bySubject.get(subject);
    }

    /** All that the wire sees when the work is turned by an angle. */
    List<Profile> at(double turn) {
        return byTurn.getOrDefault(turn, List.of());
    }

    /** Every turn at which there is a profile. */
    List<Double> turns() {
        return byTurn.keySet().stream().sorted().toList();
    }

    /** Edges that come within a distance of a box. */
    List<SegmentIndex.Entry<Profile>> near(double turn, Plane plane, Box box, double distance) {
        SegmentIndex<SegmentIndex.Entry<Profile>> index = edges.get(key(turn, plane));
        return index == null ? List.of() : index.touching(box.grown(distance));
    }
}
