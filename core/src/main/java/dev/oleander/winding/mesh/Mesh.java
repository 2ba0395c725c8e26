package dev.oleander.winding.mesh;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Four-sided shells round the mandrel, each with its lay-up. The seam shares its nodes. */
public final class Mesh {

    private static final int LEAST_ROUND = 8;
    private static final int MOST_ROUND = 2000;
    private static final int MOST_STATIONS = 4000;
    private static final long MOST_ELEMENTS = 1_000_000;

    /** mm; thinner plies are left out and counted. */
    static final double THIN = 0.02;

    /** Radians by which the slope may change over an element. */
    private static final double SLOPE = Math.toRadians(6);

    /** Places at which the thickness of an element is taken. */
    private static final int PLACES = 12;

    private final Laminate laminate;
    private final Options options;
    private final List<Double> stations = new ArrayList<>();
    private final List<List<Ply>> lays = new ArrayList<>();
    private int leftOut;

    /**
     * How fine it is.
     *
     * @param round elements round the axis
     * @param share of the thickness that changes over an element
     * @param angle radians that change
     * @param side where its nodes lie in the thickness
     */
    public record Options(int round, double share, double angle, Side side) {

        public static final Options USUAL = new Options(72, 0.05, Math.toRadians(2), Side.INSIDE);

        public Options {
            if (round < LEAST_ROUND || round > MOST_ROUND) {
                throw new WindingException(
                        "%d elements round; from %d to %d.", round, LEAST_ROUND, MOST_ROUND);
            }
        }

        public Options round(int elements) {
            return new Options(elements, share, angle, side);
        }
    }

    /** Where in the thickness. */
    public enum Side {
        INSIDE(0),
        MIDDLE(0.5),
        OUTSIDE(1);

        private final double share;

        Side(double share) {
            this.share = share;
        }

        double share() {
            return share;
        }
    }

    /** mm. */
    public record Node(double x, double y, double z) {}

    /**
     * By its nodes, counted from 0: the first to the second runs along -m, the first to the fourth
     * along +phi, so that the normal points outward.
     *
     * @param ring between two stations
     * @param lay its lay-up, by {@link #layUps}
     */
    public record Element(int ring, int sector, int[] nodes, int lay) {}

    public Mesh(Laminate laminate, Options options) {
        this.laminate = laminate;
        this.options = options;
        place();
        for (int i = 1; i < stations.size(); i++) {
            lays.add(mean(stations.get(i - 1), stations.get(i)));
        }
    }

    /** A station where something has changed by enough since the last. */
    private void place() {
        Meridian meridian = laminate.mandrel();
        double length = meridian.length();
        double longest = Math.max(length / 60, 1e-3);
        double step = length / MOST_STATIONS;
        stations.add(0.0);
        Laminate.Station last = laminate.at(0);
        for (int i = 1; i < MOST_STATIONS; i++) {
            double m = i * step;
            Laminate.Station here = laminate.at(m);
            if (m - last.m() >= longest || changed(last, here)) {
                stations.add(m);
                last = here;
            }
        }
        stations.add(length);
        long elements = (long) (stations.size() - 1) * options.round();
        if (elements > MOST_ELEMENTS) {
            throw new WindingException(
                    "The mesh would have %d elements; at most %d. Take fewer round, or allow more"
                            + " change.",
                    elements, MOST_ELEMENTS);
        }
    }

    private boolean changed(Laminate.Station a, Laminate.Station b) {
        double thick = Math.max(THIN, Math.max(a.thickness(), b.thickness()));
        if (Math.abs(a.thickness() - b.thickness()) > options.share() * thick
                || Math.abs(a.surface().omega() - b.surface().omega()) > SLOPE
                || a.plies().size() != b.plies().size()) {
            return true;
        }
        for (int i = 0; i < a.plies().size(); i++) {
            if (Math.abs(a.plies().get(i).angle() - b.plies().get(i).angle()) > options.angle()) {
                return true;
            }
        }
        return false;
    }

    /** Thickness by the area it lies on, so that nothing is lost; angles of the middle. */
    private List<Ply> mean(double from, double to) {
        Map<String, double[]> sums = new LinkedHashMap<>();
        double area = 0;
        for (int i = 0; i < PLACES; i++) {
            Laminate.Station at = laminate.at(from + (to - from) * (i + 0.5) / PLACES);
            double r = at.surface().r();
            area += r;
            for (Ply ply : at.plies()) {
                double[] sum =
                        sums.computeIfAbsent(
                                ply.layer() + (ply.angle() < 0 ? "-" : "+"), k -> new double[3]);
                sum[0] += ply.thickness() * r;
                sum[1] += ply.angle() * ply.thickness() * r;
            }
        }
        List<Ply> plies = new ArrayList<>();
        for (Map.Entry<String, double[]> entry : sums.entrySet()) {
            double[] sum = entry.getValue();
            double thickness = sum[0] / area;
            if (thickness < THIN) {
                leftOut++;
                continue;
            }
            String layer = entry.getKey().substring(0, entry.getKey().length() - 1);
            plies.add(new Ply(layer, sum[1] / sum[0], thickness));
        }
        return plies;
    }

    /** Rings of plies that were too thin for a ply of their own. */
    public int leftOut() {
        return leftOut;
    }

    public int round() {
        return options.round();
    }

    public List<Double> stations() {
        return List.copyOf(stations);
    }

    /** By ring; empty where nothing lies. */
    public List<List<Ply>> layUps() {
        return List.copyOf(lays);
    }

    /** Ring by ring. */
    public List<Node> nodes() {
        List<Node> nodes = new ArrayList<>();
        for (double m : stations) {
            SurfacePoint p = laminate.mandrel().at(m);
            double out = options.side().share() * laminate.at(m).thickness();
            double x = p.x() - out * Math.sin(p.omega());
            double r = p.r() + out * Math.cos(p.omega());
            for (int j = 0; j < options.round(); j++) {
                double phi = 2 * Math.PI * j / options.round();
                nodes.add(new Node(x, r * Math.cos(phi), r * Math.sin(phi)));
            }
        }
        return nodes;
    }

    /** mm3 of all plies on their elements. */
    public double volume() {
        List<Node> nodes = nodes();
        double volume = 0;
        for (Element element : elements()) {
            int[] n = element.nodes();
            double area =
                    MeshCsv.area(
                            nodes.get(n[0]), nodes.get(n[1]), nodes.get(n[2]), nodes.get(n[3]));
            volume += area * lays.get(element.lay()).stream().mapToDouble(Ply::thickness).sum();
        }
        return volume;
    }

    /** Those with plies. */
    public List<Element> elements() {
        List<Element> elements = new ArrayList<>();
        int n = options.round();
        for (int i = 0; i < lays.size(); i++) {
            if (lays.get(i).isEmpty()) {
                continue;
            }
            for (int j = 0; j < n; j++) {
                int next = (j + 1) % n;
                elements.add(
                        new Element(
                                i,
                                j,
                                new int[] {
                                    (i + 1) * n + j, i * n + j, i * n + next, (i + 1) * n + next
                                },
                                i));
            }
        }
        return elements;
    }
}
