package dev.oleander.drawing.bridge;

import dev.oleander.drawing.bridge.Candidates.Candidate;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * Finds bridges for all islands of what is cut away: a tree of least cost over all kept pieces
 * (Kruskal 1956), so that as many bridges as islands hold everything.
 */
public final class Bridges {

    /** mm; mean width of what is cut away, below which it is nothing. */
    private static final double SLIVER = 0.02;

    /** In widths: longer islands may be held twice. */
    private static final double LONG = 40;

    private final Pieces pieces;
    private final double width;
    private final List<Candidate> all = new ArrayList<>();
    private final List<Candidate> chosen = new ArrayList<>();

    /** Of those that are chosen. */
    private final List<Region> strips = new ArrayList<>();

    private final List<String> findings = new ArrayList<>();

    private Bridges(Pieces pieces, double width, Optional<Double> direction) {
        this.pieces = pieces;
        this.width = width;
        Point way =
                direction
                        .map(Math::toRadians)
                        .map(a -> new Point(Math.cos(a), Math.sin(a)))
                        .orElse(null);
        Candidates candidates = new Candidates(pieces, width, way);
        pieces.islandContours().forEach(i -> all.addAll(candidates.of(i)));
        all.sort(Candidate.CHEAPEST);
    }

    /**
     * What is found.
     *
     * @param islands that would fall
     * @param contours of what is cut away then
     * @param keptPieces of the sheet then; 1: all holds together
     * @param findings sentences about islands that nothing holds
     */
    public record Found(
            int islands,
            List<Bridge> bridges,
            List<Contour> contours,
            int keptPieces,
            List<String> findings) {

        public Found {
            bridges = List.copyOf(bridges);
            contours = List.copyOf(contours);
            findings = List.copyOf(findings);
        }
    }

    /**
     * @param contours what lies inside an odd number of them is cut away
     * @param width of each bridge, mm
     * @param direction degrees along which bridges are wished; empty: none
     * @param perIsland 2: islands that are longer than 40 widths are held twice
     */
    public static Found of(
            Collection<Contour> contours, double width, Optional<Double> direction, int perIsland) {
        Pieces pieces = new Pieces(List.copyOf(contours));
        Bridges bridges = new Bridges(pieces, width, direction);
        bridges.tree();
        if (perIsland > 1) {
            bridges.again();
        }
        return bridges.found();
    }

    // ---- the tree

    private void tree() {
        int[] group = new int[pieces.islands() + 1];
        Arrays.setAll(group, i -> i);
        for (Candidate candidate : all) {
            int a = root(group, candidate.from());
            int b = root(group, candidate.to());
            if (a != b && crossesNone(candidate)) {
                group[Math.max(a, b)] = Math.min(a, b);
                choose(candidate);
            }
        }
        for (int island : pieces.islandContours()) {
            if (root(group, pieces.piece(island)) != Pieces.SHEET) {
                findings.add(loose(island));
            }
        }
    }

    private static int root(int[] group, int of) {
        int root = of;
        while (group[root] != root) {
            root = group[root];
        }
        return root;
    }

    private boolean crossesNone(Candidate candidate) {
        Region strip = candidate.bridge().strip();
        Box box = strip.box();
        return strips.stream()
                .filter(s -> s.box().touches(box))
                .allMatch(s -> Overlay.intersection(List.of(s), List.of(strip)).isEmpty());
    }

    private void choose(Candidate candidate) {
        chosen.add(candidate);
        strips.add(candidate.bridge().strip());
    }

    private String loose(int island) {
        Box box = pieces.contours().get(island).box();
        double wide = Math.min(box.width(), box.height());
        String where =
                "The island at %s, %s"
                        .formatted(
                                Numbers.plain(box.centre().x(), 1),
                                Numbers.plain(box.centre().y(), 1));
        return wide < width
                ? "%s is %s mm wide; a bridge of %s mm does not fit, %s mm would."
                        .formatted(
                                where,
                                Numbers.plain(wide, 1),
                                Numbers.plain(width, 1),
                                Numbers.plain(Math.floor(8 * wide) / 10, 1))
                : "%s is held by nothing: no straight strip of %s mm is free to it."
                        .formatted(where, Numbers.plain(width, 1));
    }

    // ---- a second one

    private void again() {
        for (int island : pieces.islandContours()) {
            Box box = pieces.contours().get(island).box();
            if (Math.max(box.width(), box.height()) > LONG * width) {
                opposite(pieces.piece(island)).ifPresent(this::choose);
            }
        }
    }

    /** The cheapest of those that lead the other way than all it has. */
    private Optional<Candidate> opposite(int piece) {
        List<Point> ways =
                chosen.stream()
                        .filter(c -> c.from() == piece || c.to() == piece)
                        .map(c -> c.from() == piece ? c.bridge().way() : c.bridge().way().times(-1))
                        .toList();
        return all.stream()
                .filter(c -> c.from() == piece)
                .filter(
                        c ->
                                ways.stream()
                                        .allMatch(
                                                w ->
                                                        w.x() * c.bridge().way().x()
                                                                        + w.y()
                                                                                * c.bridge()
                                                                                        .way()
                                                                                        .y()
                                                                < -0.5))
                .filter(this::crossesNone)
                .findFirst();
    }

    // ---- what is left to cut

    /** What stays to be cut beside the end of a strip on a curve: no tool gets in there. */
    private static boolean isSliver(Region region) {
        double border = region.contours().stream().mapToDouble(Contour::length).sum();
        return 2 * region.area() < SLIVER * border;
    }

    private Found found() {
        List<Bridge> bridges = chosen.stream().map(Candidate::bridge).toList();
        List<Region> left =
                bridges.isEmpty()
                        ? pieces.removed()
                        : Overlay.difference(
                                        pieces.removed(),
                                        bridges.stream().map(Bridge::strip).toList())
                                .stream()
                                .filter(r -> !isSliver(r))
                                .toList();
        List<Contour> contours = left.stream().flatMap(r -> r.contours().stream()).toList();
        int kept = 1 + left.stream().mapToInt(r -> r.openings().size()).sum();
        return new Found(pieces.islands(), bridges, contours, kept, findings);
    }
}
