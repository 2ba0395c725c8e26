package dev.oleander.winding.path;

import java.util.List;

/** By what the angle of a band follows; angles in radians, lengths in mm. */
public sealed interface LayerLaw {

    /** Its name in files and on the screen. */
    String word();

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
    }

    /** An angle, and steering toward each end: to a turn radius or by lambda. */
    record Steered(double angle, Station reference, Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "steered";
        }
    }

    /** An angle, and turns at places of a tube. */
    record Turnarounds(double angle, Station reference, Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "turnarounds";
        }
    }

    /** In a plane that touches both turn circles. */
    record Planar(Ends ends) implements LayerLaw {

        @Override
        public String word() {
            return "planar";
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
    }
}
