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
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds bridges for all islands of what is cut away: a tree of least cost over all kept pieces
 * (Kruskal 1956), so that as many bridges as islands hold everything.
 */
public final class Bridges {

    /** mm; mean width of what is cut away, below which it is nothing. */
    private static final double SLIVER = 0.02;

    private static final String NOWHERE =
            "does not run from material to material with its whole width";

    private static final String CROSSES = "lies over another one";

    /** Letters of a stencil are held from above and below. */
    private static final Point UPRIGHT = new Point(0, 1);

    /** What a bridge costs more that is level with no other. */
    private static final double ALONE = 1;

    /** In sizes of what is joined by bars: how far off nothing is. */
    private static final double FAR = 3;

    /** In widths: longer islands may be held twice. */
    private static final double LONG = 40;

    private final Pieces pieces;
    private final BridgeWish wish;
    private final double width;
    private final Candidates candidates;
    private final List<Candidate> all = new ArrayList<>();
    private final List<Candidate> chosen = new ArrayList<>();

    /** Of those that are chosen. */
    private final List<Region> strips = new ArrayList<>();

    /** Of each piece the one it holds together with. */
    private final int[] group;

    private final List<String> findings = new ArrayList<>();
    private final List<String> misplaced = new ArrayList<>();

    /** What takes the place of a sheet where there is none; null where there is one. */
    private final Contour frame;

    private Bridges(Pieces pieces, BridgeWish wish, Contour frame) {
        this.frame = frame;
        this.pieces = pieces;
        this.wish = wish;
        this.width = wish.width();
        this.group = new int[pieces.islands() + 1];
        this.candidates = new Candidates(pieces, width, wish.way().orElse(null));
        pieces.islandContours().forEach(i -> all.addAll(candidates.of(i)));
        all.removeIf(this::isUnwished);
        all.removeIf(c -> frame != null && Math.min(c.from(), c.to()) == Pieces.SHEET);
        all.sort(Candidate.CHEAPEST);
    }

    private boolean isUnwished(Candidate candidate) {
        if (wish.without().isEmpty()) {
            return false;
        }
        Region strip = candidate.bridge().strip();
        return wish.without().stream()
                .anyMatch(p -> strip.box().grown(width / 2).contains(p) && isNear(strip, p));
    }

    private boolean isNear(Region strip, Point place) {
        return strip.contains(place)
                || strip.outer().segments().stream().anyMatch(s -> s.distance(place) < width / 2);
    }

    /**
     * What is found.
     *
     * @param islands that would fall
     * @param contours of what is cut away then
     * @param keptPieces of the sheet then; 1: all holds together
     * @param findings sentences about islands that nothing holds
     * @param misplaced sentences about bridges that somebody put where none can be
     */
    public record Found(
            int islands,
            List<Bridge> bridges,
            List<Contour> contours,
            int keptPieces,
            List<String> findings,
            List<String> misplaced) {

        public Found {
            bridges = List.copyOf(bridges);
            contours = List.copyOf(contours);
            findings = List.copyOf(findings);
            misplaced = List.copyOf(misplaced);
        }
    }

    /**
     * @param contours what lies inside an odd number of them is cut away
     */
    public static Found of(Collection<Contour> contours, BridgeWish wish) {
        return of(new Bridges(new Pieces(List.copyOf(contours)), wish, null));
    }

    /**
     * Bars that make one piece of what is kept and has no sheet round it: the dot of a letter and
     * its stem.
     *
     * @param contours what lies inside an odd number of them is kept
     * @return its islands are all pieces but one, its contours those of what is kept then
     */
    public static Found bars(Collection<Contour> contours, BridgeWish wish) {
        List<Contour> all = framed(contours);
        return of(new Bridges(new Pieces(all), wish, all.get(all.size() - 1)));
    }

    /**
     * With a last one round all, beyond what a bar could reach, so that what is kept is islands.
     */
    public static List<Contour> framed(Collection<Contour> contours) {
        Box box = Box.around(contours.stream().map(Contour::box).toList());
        List<Contour> all = new ArrayList<>(contours);
        all.add(Contour.rectangle(box.grown(FAR * (box.width() + box.height()))));
        return all;
    }

    private static Found of(Bridges bridges) {
        BridgeWish wish = bridges.wish;
        bridges.tree();
        bridges.alignLevels();
        bridges.pieces.islandContours().forEach(bridges::tellLoose);
        if (wish.perIsland() > 1) {
            bridges.again();
        }
        return bridges.found();
    }

    /**
     * The bridge through a place that is shortest; empty where none can be.
     *
     * @param contours as above
     * @param ways how many directions are tried, evenly over half a turn
     */
    public static Optional<BridgeWish.Placed> shortest(
            Collection<Contour> contours, Point at, double width, int ways) {
        Pieces pieces = new Pieces(List.copyOf(contours));
        Candidates candidates = new Candidates(pieces, width, null);
        if (!pieces.isRemoved(at)) {
            return Optional.empty();
        }
        BridgeWish.Placed best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < ways; i++) {
            BridgeWish.Placed tried = new BridgeWish.Placed(at, 180.0 * i / ways, width);
            Optional<Candidate> strip = candidates.through(at, tried.way(), width);
            if (strip.isPresent() && strip.get().bridge().length() < least) {
                least = strip.get().bridge().length();
                best = tried;
            }
        }
        return Optional.ofNullable(best);
    }

    // ---- the tree

    /** What somebody put, strips of a stencil, and the cheapest that hold the rest. */
    private void tree() {
        chosen.clear();
        strips.clear();
        Arrays.setAll(group, i -> i);
        misplaced.clear();
        wish.placed().forEach(this::place);
        if (wish.stencil()) {
            Point way = wish.way().orElse(UPRIGHT);
            new Stencil(pieces, candidates, width, way)
                    .bridges().stream()
                            .filter(c -> !isUnwished(c) && crossesNone(c))
                            .forEach(this::choose);
        }
        for (Candidate candidate : all) {
            if (root(candidate.from()) != root(candidate.to()) && crossesNone(candidate)) {
                choose(candidate);
            }
        }
    }

    private void place(BridgeWish.Placed placed) {
        Optional<Candidate> strip = strip(placed);
        strip.filter(this::crossesNone)
                .ifPresentOrElse(
                        this::choose,
                        () ->
                                misplaced.add(
                                        "The bridge of %s mm at %s, %s %s."
                                                .formatted(
                                                        Numbers.plain(placed.width(), 2),
                                                        Numbers.plain(placed.at().x(), 1),
                                                        Numbers.plain(placed.at().y(), 1),
                                                        strip.isEmpty() ? NOWHERE : CROSSES)));
    }

    private Optional<Candidate> strip(BridgeWish.Placed placed) {
        return pieces.isRemoved(placed.at())
                ? candidates.through(placed.at(), placed.way(), placed.width())
                : Optional.empty();
    }

    private void tellLoose(int island) {
        if (!isHeld(island)) {
            findings.add(loose(island));
        }
    }

    /** By the sheet; without one by the first island. */
    private boolean isHeld(int island) {
        return root(pieces.piece(island)) == (frame == null ? Pieces.SHEET : root(1));
    }

    private int root(int of) {
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
        int a = root(candidate.from());
        int b = root(candidate.to());
        group[Math.max(a, b)] = Math.min(a, b);
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

    // ---- in line with each other

    /**
     * Bridges that lie level with others look better: with a direction that is wished, one that is
     * level with no other costs {@link #ALONE} more, and the tree is made again when it becomes
     * cheaper so.
     */
    private void alignLevels() {
        if (wish.way().isEmpty() || chosen.size() < 2) {
            return;
        }
        List<Candidate> first = List.copyOf(chosen);
        double[] levels = first.stream().mapToDouble(this::level).sorted().toArray();
        all.sort(
                Comparator.<Candidate>comparingDouble(
                                c -> c.cost() + (fellows(levels, c) < 2 ? ALONE : 0))
                        .thenComparing(Candidate.CHEAPEST));
        tree();
        if (costWithLevels(chosen) >= costWithLevels(first) || isHeldWorse()) {
            all.sort(Candidate.CHEAPEST);
            tree();
        }
    }

    private boolean isHeldWorse() {
        return pieces.islandContours().stream().anyMatch(i -> !isHeld(i));
    }

    private double costWithLevels(List<Candidate> bridges) {
        double[] levels = bridges.stream().mapToDouble(this::level).sorted().toArray();
        return bridges.stream()
                .mapToDouble(c -> c.cost() + (fellows(levels, c) < 2 ? ALONE : 0))
                .sum();
    }

    /** How many of sorted levels lie within half a width of that of a bridge. */
    private long fellows(double[] levels, Candidate bridge) {
        double at = level(bridge);
        return below(levels, at + width / 2) - below(levels, at - width / 2);
    }

    private static int below(double[] sorted, double value) {
        int place = Arrays.binarySearch(sorted, value);
        return place < 0 ? -place - 1 : place;
    }

    private double level(Candidate candidate) {
        Point way = wish.way().orElseThrow();
        Point middle = candidate.bridge().from().plus(candidate.bridge().to()).times(0.5);
        return middle.x() * way.x() + middle.y() * way.y();
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
        List<Contour> contours =
                left.stream().flatMap(r -> r.contours().stream()).filter(c -> !isFrame(c)).toList();
        if (wish.fillet() > 0) {
            Fillets fillets = new Fillets(bridges, wish.fillet());
            contours = contours.stream().map(fillets::of).toList();
        }
        int sheet = frame == null ? 1 : 0;
        int kept = sheet + left.stream().mapToInt(r -> r.openings().size()).sum();
        int loose = pieces.islands() - 1 + sheet;
        return new Found(loose, bridges, contours, kept, findings, misplaced);
    }

    private boolean isFrame(Contour contour) {
        return frame != null && contour.box().width() > 0.99 * frame.box().width();
    }
}
