package dev.oleander.drawing.read;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/**
 * Finds lines that run through from edge to edge and divide what they lie in: a sheet with lines
 * across it, plates that share an edge. Taken one by one they are open lines that cross; together
 * they bound parts. Finds also parts that share edges: each meeting of them says little, together
 * they leave no room for the cut.
 */
final class Divisions {

    /** mm; how far chords may leave arcs. */
    private static final double CHORD = 5e-3;

    /** More lines than this are no sheet that somebody divided. */
    private static final int MOST = 500;

    private final double tolerance;

    /**
     * @param tolerance mm; lines that come so near to each other meet
     */
    Divisions(double tolerance) {
        this.tolerance = tolerance;
    }

    /**
     * The faults with those of lines that divide something, and of parts that share edges, replaced
     * by one for each such group.
     *
     * @param cut what is cut
     * @param faults with the meetings of these
     */
    List<Fault> told(List<Feature> cut, List<Fault> faults) {
        Map<String, Feature> byId = new LinkedHashMap<>();
        cut.forEach(f -> byId.put(f.id(), f));
        List<Fault> told = new ArrayList<>();
        List<Fault> left = faults;
        for (List<Feature> group : groups(byId, left)) {
            long open = group.stream().filter(f -> !f.isClosed()).count();
            int parts = isAsked(group) && open > 0 ? faces(group) : 0;
            if (parts > 1 && parts > group.size() - open) {
                told.add(division(group, parts));
                left = without(left, group, starts(group));
            }
        }
        Map<String, Feature> outlines = new LinkedHashMap<>(byId);
        outlines.values().removeIf(f -> f.kind() != Feature.Kind.OUTLINE);
        for (List<Feature> group : groups(outlines, left)) {
            if (isAsked(group) && shareEdges(group, left)) {
                told.add(noRoom(group));
                left = withoutMeetings(left, group);
            }
        }
        told.addAll(left);
        return told;
    }

    private static boolean isAsked(List<Feature> group) {
        return group.size() <= MOST && group.stream().noneMatch(Feature::onPurpose);
    }

    private static Set<Point> starts(List<Feature> features) {
        Set<Point> starts = new HashSet<>();
        features.stream().filter(f -> !f.isClosed()).forEach(f -> starts.add(f.chain().start()));
        return starts;
    }

    private static List<Fault> without(List<Fault> faults, List<Feature> group, Set<Point> starts) {
        Set<String> ids = ids(group);
        return faults.stream().filter(f -> !isOf(f, ids, starts)).toList();
    }

    private static Set<String> ids(List<Feature> group) {
        return group.stream().map(Feature::id).collect(Collectors.toSet());
    }

    /** Without the places at which the parts meet. */
    private List<Fault> withoutMeetings(List<Fault> faults, List<Feature> group) {
        return without(faults, group, Set.of()).stream()
                .filter(f -> !isMeetingOf(f, group))
                .toList();
    }

    private boolean isMeetingOf(Fault fault, List<Feature> features) {
        boolean meeting =
                fault.kind() == Fault.Kind.BRANCH || fault.kind() == Fault.Kind.SHARED_EDGE;
        if (!meeting || fault.place().isEmpty()) {
            return false;
        }
        Point place = fault.place().get();
        Predicate<Feature> there =
                f -> f.chain().nearest(place).point().distance(place) <= tolerance;
        return features.stream().filter(there).count() > 1;
    }

    /** Whether some lie beside each other along a stretch, and none over another. */
    private static boolean shareEdges(List<Feature> group, List<Fault> faults) {
        Set<String> ids = ids(group);
        List<Fault.Kind> kinds =
                faults.stream()
                        .filter(f -> !f.features().isEmpty() && ids.containsAll(f.features()))
                        .map(Fault::kind)
                        .toList();
        return kinds.contains(Fault.Kind.SHARED_EDGE) && !kinds.contains(Fault.Kind.CROSSING);
    }

    private static Fault noRoom(List<Feature> features) {
        String sentence =
                "%d parts share edges: as drawn no room is left for a cut between them."
                        .formatted(features.size());
        Point place = features.get(0).chain().start();
        return Fault.left(Fault.Kind.NO_ROOM, place, features.size(), sentence)
                .among(features.stream().map(Feature::id).toList());
    }

    private static boolean isOf(Fault fault, Set<String> features, Set<Point> starts) {
        boolean meeting = !fault.features().isEmpty() && features.containsAll(fault.features());
        boolean open =
                fault.kind() == Fault.Kind.OPEN
                        && fault.place().filter(starts::contains).isPresent();
        return meeting || open;
    }

    /** Features that meet each other. */
    private static List<List<Feature>> groups(Map<String, Feature> byId, List<Fault> faults) {
        Map<String, Set<String>> of = new TreeMap<>();
        for (Fault fault : faults) {
            if (fault.features().size() == 2 && byId.keySet().containsAll(fault.features())) {
                Set<String> first = group(fault.features().get(0), of);
                Set<String> second = group(fault.features().get(1), of);
                if (first != second) {
                    first.addAll(second);
                    second.forEach(id -> of.put(id, first));
                }
            }
        }
        Set<Set<String>> groups = Collections.newSetFromMap(new IdentityHashMap<>());
        return of.values().stream()
                .filter(groups::add)
                .map(group -> group.stream().map(byId::get).toList())
                .toList();
    }

    private static Set<String> group(String id, Map<String, Set<String>> of) {
        return of.computeIfAbsent(id, i -> new TreeSet<>(Set.of(i)));
    }

    /** Faces that the lines bound together; 0 when one of them ends in the open. */
    private int faces(List<Feature> features) {
        FlatShapes flat = new FlatShapes(CHORD);
        List<Geometry> lines = new ArrayList<>();
        for (Feature feature : features) {
            lines.add(
                    feature.chain() instanceof Contour contour
                            ? flat.polygon(contour).getBoundary()
                            : flat.line((Path) feature.chain()));
        }
        // on a grid, so that an end that lies on a line but for rounding is a node of it
        PrecisionModel grid = new PrecisionModel(1 / tolerance);
        Geometry noded = UnaryUnionNG.union(FlatShapes.FACTORY.buildGeometry(lines), grid);
        Polygonizer polygonizer = new Polygonizer();
        polygonizer.add(noded);
        boolean whole = polygonizer.getDangles().isEmpty() && polygonizer.getCutEdges().isEmpty();
        return whole ? polygonizer.getPolygons().size() : 0;
    }

    private static Fault division(List<Feature> features, int parts) {
        List<Feature> open = features.stream().filter(f -> !f.isClosed()).toList();
        Point place = open.get(0).chain().start();
        double length = open.stream().mapToDouble(f -> f.chain().length()).sum();
        String lines = open.size() == 1 ? "1 line runs" : open.size() + " lines run";
        String sentence =
                "%s through from edge to edge, %s in all: make %d parts of what they divide."
                        .formatted(lines, Numbers.length(length), parts);
        return Fault.left(Fault.Kind.DIVISION, place, parts, sentence)
                .among(features.stream().map(Feature::id).toList());
    }
}
