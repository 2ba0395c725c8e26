package dev.oleander.winding.mesh;

import dev.oleander.winding.layer.LaidLayer;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.List;

/** The plies of all layers, from the mandrel outward. */
public final class Laminate {

    private final Meridian mandrel;
    private final List<LaidLayer> layers;

    public Laminate(Meridian mandrel, List<LaidLayer> layers) {
        this.mandrel = mandrel;
        this.layers = List.copyOf(layers);
    }

    public Meridian mandrel() {
        return mandrel;
    }

    public List<LaidLayer> layers() {
        return layers;
    }

    /** A circle with all that lies on it. */
    public record Station(double m, SurfacePoint surface, List<Ply> plies) {

        public double thickness() {
            return plies.stream().mapToDouble(Ply::thickness).sum();
        }
    }

    /** With plies however thin. */
    public Station at(double m) {
        return new Station(m, mandrel.at(m), plies(m));
    }

    /** A layer of circuits lies at both signs of its angle, half of it each. */
    private List<Ply> plies(double m) {
        List<Ply> plies = new ArrayList<>();
        for (LaidLayer layer : layers) {
            double t = layer.thickness(on(layer, m));
            if (!(t > 0)) {
                continue;
            }
            double alpha = layer.alpha(on(layer, m));
            if (layer.hoop().isPresent()) {
                plies.add(new Ply(layer.id(), alpha, t));
            } else {
                plies.add(new Ply(layer.id(), alpha, t / 2));
                plies.add(new Ply(layer.id(), -alpha, t / 2));
            }
        }
        return plies;
    }

    /** A layer that lies on others has a longer meridian: the same share of it. */
    private double on(LaidLayer layer, double m) {
        return m * layer.meridian().length() / mandrel.length();
    }
}
