package dev.oleander.proof.panel;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * Holds what the programs of all clampings of a panel take away against the panel itself: each is
 * carried back into the panel's frame, so that a panel that lay the wrong way, a feature that none
 * makes and one that two make are found, however well each program does what it was asked for.
 */
public final class CarriedBack {

    /** mm that a round tool may leave in an inner corner, as a disc in what it leaves. */
    private static final double CORNER = 1.5;

    /** mm that walls may lie beside where they are wished. */
    private static final double WALL = 0.05;

    /** mm by which floors may lie deeper. */
    private static final double FLOOR = 0.1;

    /** mm by which axes of holes in edges may lie beside where they are wished. */
    private static final double AXIS = 0.1;

    /** mm2; smaller areas are how numbers are rounded. */
    private static final double SPECK = 0.5;

    /** Share of a feature that is gone where it is made. */
    private static final double MADE = 0.5;

    private final Panel panel;
    private final double allowance;
    private final List<Done> done;
    private final List<WantedAway> wanted = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();

    private CarriedBack(Panel panel, List<Done> done, double allowance) {
        this.panel = panel;
        this.done = List.copyOf(done);
        this.allowance = allowance;
        panel.features().forEach(f -> wanted.addAll(WantedAway.of(panel, f)));
    }

    /** What a clamping of it does. */
    public record Done(Clamping clamping, TakenAway taken) {}

    /**
     * Something that stands against the panel.
     *
     * @param feature that it is about; empty: none
     */
    public record Finding(String feature, String sentence) {}

    /**
     * @param done all clampings of the panel, in their order
     * @param allowance mm that the bander mills off an edge before it bands it
     */
    public static List<Finding> of(Panel panel, List<Done> done, double allowance) {
        CarriedBack back = new CarriedBack(panel, done, allowance);
        back.features();
        back.beyond();
        back.bores();
        return List.copyOf(back.findings);
    }

    private void add(String feature, String sentence, Object... values) {
        findings.add(
                new Finding(
                        feature, "Panel %s: %s".formatted(panel.id(), sentence.formatted(values))));
    }

    // ---- carried back

    private Face.Size size(Clamping clamping) {
        boolean before = panel.machined() == Panel.Machined.BEFORE || clamping.onBoard();
        return before ? panel.cut(allowance) : panel.size();
    }

    private Spot shift(Clamping clamping) {
        boolean before = panel.machined() == Panel.Machined.BEFORE || clamping.onBoard();
        return before
                ? Spot.ORIGIN.minus(panel.beforeBanding(Spot.ORIGIN, allowance))
                : Spot.ORIGIN;
    }

    /** From the machine seen from above to the finished panel seen from its top. */
    private Transform back(Clamping clamping) {
        Spot shift = shift(clamping);
        return clamping.lying()
                .of(Face.TOP, size(clamping))
                .inverse()
                .then(Transform.translation(new Point(shift.x(), shift.y())));
    }

    private double depth(Clamping clamping, double height) {
        return clamping.lying().up() == Face.TOP ? panel.size().thickness() - height : height;
    }

    private List<Region> goneAt(Done one, double height) {
        return carried(one, one.taken().at(depth(one.clamping(), height)));
    }

    private List<Region> maybeGoneAt(Done one, double height) {
        return carried(one, one.taken().atMost(depth(one.clamping(), height)));
    }

    private List<Region> carried(Done one, List<Region> regions) {
        Transform back = back(one.clamping());
        return regions.stream().map(r -> r.transformed(back)).toList();
    }

    // ---- each feature once

    private void features() {
        for (WantedAway piece : wanted) {
            double middle = (piece.low() + piece.high()) / 2;
            List<Integer> makers = new ArrayList<>();
            List<Region> gone = new ArrayList<>();
            for (int i = 0; i < done.size(); i++) {
                List<Region> here = goneAt(done.get(i), middle);
                gone.addAll(here);
                if (isMadeBy(piece, here, done.get(i).clamping())) {
                    makers.add(i + 1);
                }
            }
            report(piece, makers, gone);
        }
    }

    private void report(WantedAway piece, List<Integer> makers, List<Region> gone) {
        PanelFeature feature = piece.feature();
        String name = feature.kind().label() + " " + feature.id();
        if (makers.isEmpty() && !isRefused(feature)) {
            add(feature.id(), "%s is made in no clamping.", name);
        } else if (makers.size() > 1) {
            add(
                    feature.id(),
                    "%s is made in clampings %d and %d.",
                    name,
                    makers.get(0),
                    makers.get(1));
        } else if (!makers.isEmpty() && !piece.loose()) {
            double left = left(piece, gone);
            if (left > SPECK) {
                add(
                        feature.id(),
                        "%s mm² of %s stay that no tool's corner explains.",
                        Numbers.plain(left, 2),
                        name);
            }
        }
    }

    private boolean isRefused(PanelFeature feature) {
        return done.stream().noneMatch(d -> d.clamping().features().contains(feature.id()));
    }

    /** What stays of an area, corners of round tools left out. */
    private static double left(WantedAway piece, List<Region> gone) {
        List<Region> stays = Overlay.difference(piece.area(), withCores(piece, gone));
        return area(Offsetter.round().offset(stays, -CORNER));
    }

    /** Whether a clamping takes it away, unless another of its features lies all over it. */
    private boolean isMadeBy(WantedAway piece, List<Region> gone, Clamping clamping) {
        double all = area(piece.area());
        double here = area(Overlay.intersection(piece.area(), withCores(piece, gone)));
        boolean asked = clamping.features().contains(piece.feature().id());
        double share = piece.loose() && asked ? 0 : MADE;
        return here > share * all && here > 0 && (asked || !isCovered(piece, clamping));
    }

    /** What a tool goes round in something that goes through falls out. */
    private static List<Region> withCores(WantedAway piece, List<Region> gone) {
        if (!piece.feature().through()) {
            return gone;
        }
        Box box = Box.around(piece.area().stream().map(Region::box).toList()).grown(WALL);
        return gone.stream()
                .map(r -> box.contains(r.box()) ? new Region(r.outer(), List.of()) : r)
                .toList();
    }

    private boolean isCovered(WantedAway piece, Clamping clamping) {
        double middle = (piece.low() + piece.high()) / 2;
        List<Region> others = new ArrayList<>();
        for (WantedAway other : wanted) {
            boolean here = clamping.features().contains(other.feature().id());
            if (here && other.reaches(middle) && other.feature() != piece.feature()) {
                others.addAll(other.area());
            }
        }
        return area(Overlay.intersection(piece.area(), others)) > MADE * area(piece.area());
    }

    private static double area(List<Region> regions) {
        return regions.stream().mapToDouble(Region::area).sum();
    }

    // ---- nothing beyond

    private void beyond() {
        List<Region> inner = Offsetter.round().offset(body(), -2 * WALL);
        for (double height : heights()) {
            double much = area(Overlay.intersection(beyond(height), inner));
            if (much > SPECK) {
                add(
                        "",
                        "%s mm² are gone beyond its features, %s mm over its bottom.",
                        Numbers.plain(much, 2),
                        Numbers.plain(height, 2));
                return;
            }
        }
    }

    /** What is there of it before its edges are banded. */
    private List<Region> body() {
        Face.Size size = panel.size();
        Box cut =
                Box.of(
                        new Point(
                                panel.grown(Face.LEFT, allowance),
                                panel.grown(Face.FRONT, allowance)),
                        new Point(
                                size.length() - panel.grown(Face.RIGHT, allowance),
                                size.width() - panel.grown(Face.BACK, allowance)));
        return Overlay.intersection(
                List.of(new Region(panel.contour(), List.of())),
                List.of(new Region(Contour.rectangle(cut), List.of())));
    }

    /** Under and over each feature, and between all of them. */
    private List<Double> heights() {
        TreeSet<Double> bounds = new TreeSet<>();
        bounds.add(0.0);
        bounds.add(panel.size().thickness());
        wanted.forEach(w -> bounds.add(w.low()));
        wanted.forEach(w -> bounds.add(w.high()));
        TreeSet<Double> all = new TreeSet<>();
        for (double bound : bounds) {
            all.add(bound - FLOOR);
            all.add(bound + FLOOR);
            Double next = bounds.higher(bound);
            all.add(next == null ? bound - FLOOR : (bound + next) / 2);
        }
        return all.stream().filter(h -> h > 0 && h < panel.size().thickness()).toList();
    }

    private List<Region> beyond(double height) {
        List<Region> may = new ArrayList<>();
        for (WantedAway piece : wanted) {
            if (piece.reaches(height)) {
                may.addAll(Offsetter.round().offset(piece.area(), WALL));
            }
        }
        List<Region> gone = new ArrayList<>();
        for (Done one : done) {
            gone.addAll(maybeGoneAt(one, height));
        }
        return Offsetter.round().offset(Overlay.difference(gone, may), -WALL);
    }

    // ---- holes in edges

    private void bores() {
        for (PanelFeature feature : panel.features()) {
            if (feature.face().isEdge() && feature.isHole()) {
                long times =
                        done.stream()
                                .flatMap(
                                        d ->
                                                d.taken().bores().stream()
                                                        .filter(b -> is(b, d, feature)))
                                .count();
                if (times == 0 && !isRefused(feature)) {
                    add(
                            feature.id(),
                            "hole %s in the %s edge is made in no clamping where it should be.",
                            feature.id(),
                            feature.face().label());
                } else if (times > 1) {
                    add(feature.id(), "hole %s is made %d times.", feature.id(), times);
                }
            }
        }
        long drilled = done.stream().mapToLong(d -> d.taken().bores().size()).sum();
        long asked =
                panel.features().stream()
                        .filter(f -> f.face().isEdge() && f.isHole() && !isRefused(f))
                        .count();
        if (drilled > asked) {
            add("", "%d holes are drilled in edges; it has %d.", drilled, asked);
        }
    }

    private boolean is(TakenAway.Bore bore, Done in, PanelFeature feature) {
        Point at = feature.middle();
        Face face = feature.face();
        Spot floor = face.at(at.x(), at.y(), feature.depth(), panel.size());
        Spot axis = face.outward();
        Spot found = spot(bore.floor(), bore.below(), in.clamping());
        Spot from = spot(bore.mouth(), bore.below(), in.clamping()).minus(found);
        return found.minus(floor).length() <= AXIS
                && from.dot(axis) > from.length() - AXIS
                && Math.abs(bore.diameter() - feature.diameter()) <= AXIS;
    }

    private Spot spot(Point above, double below, Clamping clamping) {
        Point on = back(clamping).apply(above);
        double height =
                clamping.lying().up() == Face.TOP ? panel.size().thickness() - below : below;
        return new Spot(on.x(), on.y(), height);
    }
}
