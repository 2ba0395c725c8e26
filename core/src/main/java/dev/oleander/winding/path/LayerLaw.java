package dev.oleander.winding.path;

import dev.oleander.winding.surface.WindingException;
import java.util.List;

/** By what the angle of a band follows; angles in radians, lengths in mm. */
public sealed interface LayerLaw {

    /** Its name in files and on the screen. */
    String word();

    /** What is said of both ends. */
    Ends ends();

    /**
     * The same with other ends.
     *
     * @throws WindingException for a hoop layer, which is not closed at its ends
     */
    LayerLaw withEnds(Ends others);

    /**
     * The shortest way.
     *
     * @param angle at the reference; null: by the turn radius
     * @param turnRadius null: by the angle
     * @param reference null: the middle of the widest stretch
     */
    record Geodesic(Double angle, Double turnRadius, Station reference, Ends ends)
            implements LayerLaw {

        @Override
        public String word() {
            return "geodesic";
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            return new Geodesic(angle, turnRadius, reference, others);
        }
    }

    /** An angle, and steering toward each end: to a turn radius or by lambda. */
    record Steered(double angle, Station reference, Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "steered";
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            return new Steered(angle, reference, others);
        }
    }

    /** An angle, and turns at places of a tube. */
    record Turnarounds(double angle, Station reference, Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "turnarounds";
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            return new Turnarounds(angle, reference, others);
        }
    }

    /** In a plane that touches both turn circles. */
    record Planar(Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "planar";
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            return new Planar(others);
        }
    }

    /** Angles over x, between them by a curve that never swings. */
    record Table(List<Row> rows, Ends ends) implements LayerLaw {

        public record Row(double x, double angle) {}

        public Table {
            rows = List.copyOf(rows);
        }

        @Override
        public String word() {
            return "table";
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            return new Table(rows, others);
        }
    }

    /**
     * Round and round.
     *
     * @param from x of the zone
     * @param to greater
     * @param passes 1 or more
     * @param dwell radians at each end
     */
    record Hoop(double from, double to, int passes, double dwell) implements LayerLaw {

        @Override
        public String word() {
            return "hoop";
        }

        @Override
        public Ends ends() {
            return Ends.FREE;
        }

        @Override
        public LayerLaw withEnds(Ends others) {
            throw new WindingException("A hoop layer is not closed at its ends.");
        }
    }
}
