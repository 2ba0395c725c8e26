package dev.oleander.work.sheet.order;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What must be cut before what: everything inside a contour before the contour itself, since the
 * piece comes free with it, and marks of a part before its cuts.
 */
public final class Precedence {

    private final Map<String, Feature> features;

    public Precedence(Map<String, Feature> features) {
        this.features = Map.copyOf(features);
    }

    /** Whether {@code inner} lies within {@code outer}, at any depth, on the same copy. */
    public boolean isWithin(Stop inner, Stop outer) {
        if (inner.copy() != outer.copy()) {
            return false;
        }
        Optional<String> at = features.get(inner.feature()).parent();
        while (at.isPresent()) {
            if (at.get().equals(outer.feature())) {
                return true;
            }
            at = features.get(at.get()).parent();
        }
        return false;
    }

    /**
     * The outermost contour round a stop's feature, with its copy: stops of one group hang
     * together.
     */
    String groupOf(Stop stop) {
        Feature outer = outermost(features.get(stop.feature()));
        return FeatureKey.of(outer.id(), stop.copy()).text();
    }

    /** The same by id of a stop, for example c3.2; the id itself when there is no such feature. */
    String groupOf(String stop) {
        FeatureKey key = FeatureKey.parse(stop);
        Feature at = features.get(key.feature());
        return at == null ? stop : key.with(outermost(at).id()).text();
    }

    private Feature outermost(Feature feature) {
        Feature at = feature;
        while (at.parent().isPresent()) {
            at = features.get(at.parent().get());
        }
        return at;
    }

    /** The same for the stops of a run. */
    public RunRules rules(List<Stop> stops) {
        Map<String, List<String>> before = new HashMap<>();
        enclosing(stops)
                .forEach(
                        (inner, outer) -> {
                            // those farther out come after the nearest one
                            if (!outer.isEmpty()) {
                                before.computeIfAbsent(outer.get(0).id(), k -> new ArrayList<>())
                                        .add(inner);
                            }
                        });
        return new RunRules(
                before,
                (stop, must) -> "the piece would be free before it is cut",
                stop -> stop.kind() == Stop.Kind.MARK);
    }

    /** By id of a stop: the stops that surround it and so come after it. */
    Map<String, List<Stop>> enclosing(List<Stop> stops) {
        Map<String, Stop> byId = new HashMap<>();
        stops.forEach(s -> byId.put(s.id(), s));
        Map<String, List<Stop>> enclosing = new HashMap<>();
        for (Stop stop : stops) {
            List<Stop> outer = new ArrayList<>();
            Optional<String> at = features.get(stop.feature()).parent();
            while (at.isPresent()) {
                Stop around = byId.get(FeatureKey.of(at.get(), stop.copy()).text());
                if (around != null) {
                    outer.add(around);
                }
                at = features.get(at.get()).parent();
            }
            enclosing.put(stop.id(), outer);
        }
        return enclosing;
    }
}
