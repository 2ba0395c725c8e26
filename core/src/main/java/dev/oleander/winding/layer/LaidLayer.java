package dev.oleander.winding.layer;

import dev.oleander.winding.cover.Cover;
import dev.oleander.winding.form.LayerForm;
import dev.oleander.winding.form.MaterialForm;
import dev.oleander.winding.path.BandPath;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.HoopPass;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.path.Leg;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.pattern.Pattern;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A layer as it is laid. Thread-safe. */
public final class LaidLayer {

    private static final double TURN = 2 * Math.PI;

    private final LayerForm form;
    private final Meridian meridian;
    private final MaterialForm material;
    private final LayerLaw law;
    private final BandPath path;
    private final int circuits;
    private final Pattern pattern;
    private Cover cover;
    private List<PathPoint> places;

    LaidLayer(
            LayerForm form,
            Meridian meridian,
            MaterialForm material,
            LayerLaw law,
            BandPath path,
            int circuits,
            Pattern pattern) {
        this.form = form;
        this.meridian = meridian;
        this.material = material;
        this.law = law;
        this.path = path;
        this.circuits = circuits;
        this.pattern = pattern;
    }

    public LayerForm form() {
        return form;
    }

    public String id() {
        return form.id();
    }

    /** What it lies on. */
    public Meridian meridian() {
        return meridian;
    }

    public MaterialForm material() {
        return material;
    }

    /** As it was changed to close. */
    public LayerLaw law() {
        return law;
    }

    /** What is laid again and again. */
    public BandPath path() {
        return path;
    }

    /** Empty for a hoop layer. */
    public Optional<Circuit> circuit() {
        return path instanceof Circuit circuit ? Optional.of(circuit) : Optional.empty();
    }

    public Optional<HoopPass> hoop() {
        return path instanceof HoopPass hoop ? Optional.of(hoop) : Optional.empty();
    }

    /** How often the path is laid; of a hoop layer there and back count as two. */
    public int circuits() {
        return circuits;
    }

    /** Empty while it is not closed, and of a hoop layer. */
    public Optional<Pattern> pattern() {
        return Optional.ofNullable(pattern);
    }

    /** mm of band in all. */
    public double bandLength() {
        if (path instanceof HoopPass hoop) {
            double stays = hoop.length() - 2 * hoop.passLength();
            return circuits * hoop.passLength() + (circuits - 1) * stays / 2;
        }
        return circuits * path.length();
    }

    /** mm of all rovings. */
    public double rovingLength() {
        return bandLength() * material.rovings();
    }

    /** g. */
    public double fibreMass() {
        return material.fibreMass(bandLength());
    }

    /** g. */
    public double resinMass() {
        return material.resinMass(fibreMass());
    }

    /** Share of the surface, 1: all of it once; where the bands lie farthest apart. */
    public double coverShare() {
        return circuit()
                .map(of -> Circuits.cover(of, material.width(), circuits))
                .orElseGet(() -> form.cover() * circuits);
    }

    /** Places that tell what the band does. */
    public synchronized List<PathPoint> places() {
        if (places == null) {
            places = circuit().map(Circuit::places).orElseGet(this::hoopPlaces);
        }
        return places;
    }

    private List<PathPoint> hoopPlaces() {
        HoopPass hoop = hoop().orElseThrow();
        List<PathPoint> all = new ArrayList<>();
        int steps = 200;
        for (int i = 0; i <= steps; i++) {
            all.add(hoop.at(hoop.passLength() * i / steps));
        }
        return all;
    }

    /**
     * @throws java.util.NoSuchElementException for a hoop layer
     */
    public synchronized Cover cover() {
        if (cover == null) {
            cover =
                    new Cover(
                            meridian,
                            circuit().orElseThrow(),
                            circuits,
                            material.width(),
                            material.section());
        }
        return cover;
    }

    /** mm on a circle; 0 where nothing lies. */
    public double thickness(double m) {
        if (path instanceof HoopPass hoop) {
            // the zone is where the middle of the band runs: half a band lies beyond it
            double half = material.width() / 2;
            boolean in = m >= hoop.fromM() - half && m <= hoop.toM() + half;
            return in ? circuits * material.section() / material.width() * form.cover() : 0;
        }
        return cover().thickness(m);
    }

    /** Angle of the band on a circle, radians; a right angle past a turn. */
    public double alpha(double m) {
        if (path instanceof HoopPass hoop) {
            double r = meridian.beyond(m).r();
            return Math.acos(Math.min(1, material.width() / (TURN * r * form.cover())));
        }
        Circuit circuit = circuit().orElseThrow();
        Leg leg = m >= circuit.right().stationM() ? circuit.right() : circuit.left();
        boolean past = leg.side() == Side.RIGHT ? m > leg.endM() : m < leg.endM();
        return past ? Math.PI / 2 : leg.by(leg.variable(m)).alpha();
    }

    /** mm of meridian between the inner edge at a turn and the opening; below 0 it covers it. */
    public double edgeToOpening(Side side) {
        Leg leg = circuit().orElseThrow().leg(side);
        double end = side == Side.RIGHT ? meridian.length() - leg.endM() : leg.endM();
        return end - material.width() / 2;
    }

    /** Friction less the greatest steering. */
    public double slipMargin() {
        return material.friction() - greatestLambda();
    }

    public double greatestLambda() {
        double most = places().stream().mapToDouble(p -> Math.abs(p.lambda())).max().orElse(0);
        if (path instanceof Circuit circuit) {
            for (Side side : Side.values()) {
                most = Math.max(most, stayLambda(circuit, side));
            }
        }
        return most;
    }

    /** What keeps the band on a turn circle; pins need none. */
    private static double stayLambda(Circuit circuit, Side side) {
        Leg leg = circuit.leg(side);
        if (circuit.dwell(side) == 0 || !leg.turns()) {
            return 0;
        }
        SurfacePoint p = leg.end().surface();
        return Math.abs(Math.tan(p.omega()));
    }

    /** mm of path between places that are looked at. */
    private static final double LOOK = 1;

    /** Where it does not touch the mandrel, in one repetition of the path. */
    public List<Bridge> bridges() {
        return leastNormalCurvature() < 0 ? Bridge.of(meridian, path, LOOK) : List.of();
    }

    /** 1/mm; below 0 the band lies hollow. */
    public double leastNormalCurvature() {
        return places().stream().mapToDouble(PathPoint::normalCurvature).min().orElse(0);
    }
}
