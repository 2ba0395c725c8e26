package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.drawing.mend.Network.Component;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentMerger;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Joins pieces at their ends to paths and contours. Where exactly two meet they are joined; where
 * more meet, the enclosed faces become contours and what encloses nothing stays open.
 */
final class Joiner {

    private final MendOptions options;
    private final List<Fault> faults;

    Joiner(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    List<Joined> join(List<Piece> pieces) {
        if (pieces.isEmpty()) {
            return List.of();
        }
        List<Joined> joined = new ArrayList<>();
        for (Component component : new NodeFinder(pieces, options, faults).network().components()) {
            if (component.branched() && isLetters(component)) {
                joined.addAll(strokes(component));
            } else if (component.branched()) {
                joined.addAll(resolve(component.edges()));
            } else {
                joined.add(joined(component.walk()));
            }
        }
        return joined;
    }

    /** Strokes of letters meet where they are written, and enclose nothing by that. */
    private static boolean isLetters(Component component) {
        return component.edges().stream().allMatch(e -> e.entity().type().equals(Entity.TEXT));
    }

    private List<Joined> strokes(Component component) {
        Map<String, List<Edge>> byStroke = new LinkedHashMap<>();
        for (Edge edge : component.edges()) {
            byStroke.computeIfAbsent(edge.entity().key(), s -> new ArrayList<>()).add(edge);
        }
        List<Joined> strokes = new ArrayList<>();
        for (List<Edge> stroke : byStroke.values()) {
            for (Component own : Network.of(stroke).components()) {
                if (own.branched()) {
                    Network.of(own.edges()).paths().forEach(path -> strokes.add(joined(path)));
                } else {
                    strokes.add(joined(own.walk()));
                }
            }
        }
        return strokes;
    }

    /** Faces of a branched network, and the stretches left over as open paths. */
    private List<Joined> resolve(List<Edge> edges) {
        FaceTracer.Faces faces = new FaceTracer().trace(edges);
        List<Joined> joined = new ArrayList<>();
        faces.loops().forEach(loop -> joined.add(joined(loop)));
        for (Component component : Network.of(faces.rest()).components()) {
            Network.of(component.edges()).paths().forEach(path -> joined.add(joined(path)));
        }
        faces.shared().forEach(this::reportShared);
        Network.of(edges).branches().forEach(this::reportBranch);
        return joined;
    }

    private void reportShared(Edge edge) {
        String sentence =
                "Two contours share the line of %s at (%s, %s), drawn once; both use it."
                        .formatted(
                                Numbers.length(edge.segment().length()),
                                Numbers.plain(edge.segment().middle().x(), 2),
                                Numbers.plain(edge.segment().middle().y(), 2));
        faults.add(
                Fault.left(
                        Fault.Kind.SHARED_EDGE,
                        edge.segment().middle(),
                        edge.segment().length(),
                        sentence));
    }

    private void reportBranch(Point place, int degree) {
        String sentence =
                "%d lines meet at (%s, %s); the contours on either side were closed. Check them."
                        .formatted(
                                degree, Numbers.plain(place.x(), 2), Numbers.plain(place.y(), 2));
        faults.add(Fault.left(Fault.Kind.BRANCH, place, degree, sentence));
    }

    private Joined joined(List<Edge> edges) {
        List<Segment> segments = edges.stream().map(Edge::segment).toList();
        boolean closed =
                segments.size() > 1
                        && segments.get(0).start().equals(segments.get(segments.size() - 1).end());
        SegmentMerger merger = new SegmentMerger(options.exact());
        Chain chain =
                closed ? merger.merge(new Contour(segments)) : merger.merge(new Path(segments));
        Entity first =
                edges.stream()
                        .map(Edge::entity)
                        .min(Comparator.comparingInt(Entity::ordinal))
                        .orElseThrow();
        List<String> sources = edges.stream().map(e -> e.entity().key()).distinct().toList();
        return new Joined(chain, first, sources);
    }
}
