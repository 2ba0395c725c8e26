package dev.oleander.winding.layer;

import dev.oleander.winding.form.LayerForm;
import dev.oleander.winding.form.MaterialForm;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.CircuitPlanner;
import dev.oleander.winding.path.HoopPass;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.path.Station;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.WindingException;
import java.util.List;
import java.util.Optional;

/** Lays a layer on a mandrel, and closes it. */
public final class LayerPlanner {

    /** How much a law may change by itself to close: radians of angle, of dwell; mm. */
    private static final double ANGLE = Math.toRadians(5);

    private static final double DWELL = 2 * Math.PI;
    private static final double LENGTH = 20;

    /** How much a pattern that was chosen may ask for. */
    private static final double CHOSEN = 2;

    private static final double OVER = 0.2;

    /** Percent of circuits over the least; twice the least is a second layer. */
    private static final double MOST_OVER = 100;

    private final Meridian meridian;
    private final MaterialForm material;

    public LayerPlanner(Meridian meridian, MaterialForm material) {
        this.meridian = meridian;
        this.material = material;
    }

    /**
     * @throws WindingException why it cannot be laid
     */
    public LaidLayer lay(LayerForm form) {
        LayerLaw law = byAngle(form.toLaw(), ease(form));
        if (law instanceof LayerLaw.Hoop hoop) {
            HoopPass pass = new HoopPass(meridian, hoop, material.width(), form.cover());
            return new LaidLayer(form, meridian, material, law, pass, hoop.passes(), null);
        }
        if (form.isOpen()) {
            return open(form, law);
        }
        return closed(form, law).orElseGet(() -> open(form, law));
    }

    /** A turn radius says an angle, and that is what closes. */
    private LayerLaw byAngle(LayerLaw law, double ease) {
        if (!(law instanceof LayerLaw.Geodesic of) || of.angle() != null) {
            return law;
        }
        Circuit circuit = new CircuitPlanner(meridian, material.band(), ease).plan(of);
        return new LayerLaw.Geodesic(
                circuit.right().at(0).alpha(),
                null,
                Station.ofM(circuit.right().stationM()),
                of.ends());
    }

    private LaidLayer open(LayerForm form, LayerLaw law) {
        Circuit circuit = new CircuitPlanner(meridian, material.band(), ease(form)).plan(law);
        int circuits = Circuits.least(circuit, material.width(), form.cover());
        return new LaidLayer(form, meridian, material, law, circuit, circuits, null);
    }

    private Optional<LaidLayer> closed(LayerForm form, LayerLaw law) {
        Optional<Reachable> reached =
                form.pattern() == null
                        ? finder(form, law).find(usual(law), most(usual(law)), OVER).stream()
                                .findFirst()
                        : chosen(form, law);
        return reached.map(
                of ->
                        new LaidLayer(
                                form,
                                meridian,
                                material,
                                of.law(),
                                of.circuit(),
                                of.pattern().circuits(),
                                of.pattern()));
    }

    private Optional<Reachable> chosen(LayerForm form, LayerLaw law) {
        LayerForm.PatternForm pattern = form.pattern();
        if (pattern.circuits() == null || pattern.turns() == null) {
            throw new WindingException("A pattern has circuits and turns.");
        }
        Change change =
                pattern.change() == null
                        ? usual(law)
                        : Change.of(pattern.change()).orElseThrow(() -> unknown(pattern));
        return finder(form, law)
                .close(pattern.circuits(), pattern.turns(), change, CHOSEN * most(change));
    }

    private static WindingException unknown(LayerForm.PatternForm pattern) {
        return new WindingException(
                "Change %s: there are angle, dwell, turnRadius and zone.", pattern.change());
    }

    private PatternFinder finder(LayerForm form, LayerLaw law) {
        return new PatternFinder(meridian, material.band(), law, form.cover(), ease(form));
    }

    /**
     * What would close it.
     *
     * @param most degrees or mm; see {@link PatternFinder#find}
     * @param over percent
     */
    public List<Reachable> patterns(LayerForm form, Change change, double most, double over) {
        boolean turning = change == Change.ANGLE || change == Change.DWELL;
        double by = turning ? Math.toRadians(most) : most;
        double limit = CHOSEN * most(change);
        if (!(by >= 0 && by <= limit)) {
            throw new WindingException(
                    "A change of %.4g; from 0 to %.4g.",
                    most, turning ? Math.toDegrees(limit) : limit);
        }
        if (!(over >= 0 && over <= MOST_OVER)) {
            throw new WindingException("%.4g percent over; from 0 to %.4g.", over, MOST_OVER);
        }
        return finder(form, byAngle(form.toLaw(), ease(form))).find(change, by, over / 100);
    }

    /** By what a law closes when nothing is said. */
    public static Change usual(LayerLaw law) {
        boolean angle =
                law instanceof LayerLaw.Geodesic of
                                && of.angle() != null
                                && !of.ends().left().pins()
                                && !of.ends().right().pins()
                        || law instanceof LayerLaw.Steered;
        return angle ? Change.ANGLE : Change.DWELL;
    }

    private static double most(Change change) {
        return switch (change) {
            case ANGLE -> ANGLE;
            case DWELL -> DWELL;
            case TURN_RADIUS, ZONE -> LENGTH;
        };
    }

    /** One band width when nothing is said. */
    private double ease(LayerForm form) {
        double ease = form.ease() == null ? material.width() : form.ease();
        if (!(ease >= 0)) {
            throw new WindingException("Ease %.4g mm; it must be >= 0.", ease);
        }
        return ease;
    }
}
