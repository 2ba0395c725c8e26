package dev.oleander.work.router.tool;

import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.List;

/**
 * A rotating tool.
 *
 * @param number by which programs call it, from 1
 * @param name for people; may be empty
 */
public record Tool(
        int number,
        String name,
        Form form,
        Edges edges,
        Shank shank,
        Limits limits,
        Holder holder) {

    public Tool {
        require(number >= 1, "A tool has number %d; numbers begin at 1.".formatted(number));
    }

    /** In a holder as is usual. */
    public Tool(int number, String name, Form form, Edges edges, Shank shank, Limits limits) {
        this(number, name, form, edges, shank, limits, Holder.USUAL);
    }

    /**
     * What carries the shank, seen from the side.
     *
     * @param steps from its nose upwards
     */
    public record Holder(List<Step> steps) {

        public static final Holder USUAL = new Holder(List.of(new Step(40, 30), new Step(63, 45)));

        /**
         * A cylinder.
         *
         * @param diameter mm
         * @param height mm
         */
        public record Step(double diameter, double height) {

            public Step {
                requireAbove(diameter, 0, "A holder", "diameter", "mm");
                requireAbove(height, 0, "A holder", "height", "mm");
            }
        }

        public Holder {
            steps = List.copyOf(steps);
        }
    }

    /**
     * What it leaves, seen from the side.
     *
     * @param diameter of the cutting part at its widest, mm
     * @param tipDiameter of the flat end of a cone, mm; 0: it ends in a point
     * @param angle full angle of the cone or of a drill's point, degrees; 0 of others
     * @param cornerRadius between the end and the flank, mm
     * @param bladeWidth of a saw, mm; 0 of others
     */
    public record Form(
            ToolKind kind,
            double diameter,
            double tipDiameter,
            double angle,
            double cornerRadius,
            double bladeWidth) {

        public Form {
            String what = "A %s tool".formatted(kind.label());
            requireAbove(diameter, 0, what, "diameter", "mm");
            requireWithin(tipDiameter, 0, diameter, what, "tip diameter", "mm");
            requireWithin(cornerRadius, 0, diameter / 2, what, "corner radius", "mm");
            boolean cone = kind.isConical() || kind.isDrill();
            if (cone) {
                // a drill may end flat
                boolean possible = angle > 0 && (angle < 180 || angle == 180 && kind.isDrill());
                require(
                        possible,
                        "%s has an angle of %s°; it lies between 0 and 180."
                                .formatted(what, Numbers.plain(angle, 3)));
            }
            if (kind == ToolKind.SAW) {
                requireAbove(bladeWidth, 0, what, "blade width", "mm");
            }
        }

        /** With a flat end or half a ball. */
        public static Form of(ToolKind kind, double diameter) {
            return new Form(kind, diameter, 0, 0, 0, 0);
        }

        public double radius() {
            return diameter / 2;
        }

        /**
         * How much higher than the lowest point of the tool its end is at a distance from the axis,
         * mm: half a ball R - sqrt(R^2 - r^2), a cone max(0, r - tip/2) / tan(angle/2).
         *
         * @param r mm, 0 to the radius
         * @throws IllegalArgumentException when it lies beyond the tool
         */
        public double rise(double r) {
            if (!(r >= 0 && r <= radius() * (1 + 1e-12))) {
                throw new IllegalArgumentException(
                        "%s mm from the axis of a tool of %s mm".formatted(r, diameter));
            }
            if (kind == ToolKind.BALL) {
                return round(radius(), r);
            }
            if (kind.isDrill() && angle == 180) {
                return 0;
            }
            if (kind.isConical() || kind.isDrill()) {
                return Math.max(0, r - tipDiameter / 2) / halfTangent();
            }
            double inner = radius() - cornerRadius;
            return r <= inner ? 0 : round(cornerRadius, r - inner);
        }

        private static double round(double radius, double r) {
            double off = Math.min(r, radius);
            return radius - Math.sqrt(radius * radius - off * off);
        }

        /** Tangent of half the angle of the cone. */
        public double halfTangent() {
            return Math.tan(Math.toRadians(angle / 2));
        }

        /** mm from the tip to where it has its full diameter. */
        public double tipLength() {
            return rise(radius());
        }

        /**
         * Diameter that cuts at a depth, mm: of half a ball 2 sqrt(ap (D - ap)) while ap is less
         * than the radius, of a cone tip + 2 ap tan(angle/2), at most its own.
         *
         * @param ap depth of the cut, mm
         */
        public double effectiveDiameter(double ap) {
            if (kind == ToolKind.BALL && ap < radius()) {
                return 2 * Math.sqrt(ap * (diameter - ap));
            }
            return kind.isConical()
                    ? Math.min(diameter, tipDiameter + 2 * ap * halfTangent())
                    : diameter;
        }
    }

    /**
     * What cuts.
     *
     * @param flutes how many edges
     * @param length of the flutes, mm: nothing deeper touches uncut material
     * @param left whether it turns anticlockwise seen from above
     * @param deadDiameter of the middle that does not cut, mm; 0: it cuts to its centre
     * @param rampAngle steepest way down, degrees
     * @param upCut mm from the end whose edges pull chips up, of a compression tool; 0 of others
     * @param passDepth deepest cut at once, in diameters
     */
    public record Edges(
            int flutes,
            double length,
            boolean left,
            double deadDiameter,
            double rampAngle,
            double upCut,
            double passDepth) {

        public static final double USUAL_RAMP = 5;

        public Edges {
            require(flutes >= 1, "A tool has %d flutes; it has at least 1.".formatted(flutes));
            requireAbove(length, 0, "A tool", "flute length", "mm");
            requireAtLeast(deadDiameter, "dead diameter", "mm");
            require(
                    rampAngle >= 0 && rampAngle <= 90,
                    "A tool has a ramp angle of %s°; it lies between 0 and 90."
                            .formatted(Numbers.plain(rampAngle, 3)));
            requireAtLeast(upCut, "up-cut length", "mm");
            requireAbove(passDepth, 0, "A tool", "depth of a pass", "diameters");
        }

        public boolean cutsCentre() {
            return deadDiameter == 0;
        }
    }

    /**
     * What holds it.
     *
     * @param diameter mm
     * @param stickOut mm from the holder's nose to the end of the tool
     * @param carbide whether it is of carbide; of steel otherwise
     */
    public record Shank(double diameter, double stickOut, boolean carbide) {

        /** N/mm2 */
        private static final double CARBIDE = 6e5;

        private static final double STEEL = 2.1e5;

        public Shank {
            requireAbove(diameter, 0, "A shank", "diameter", "mm");
            requireAbove(stickOut, 0, "A tool", "stick-out", "mm");
        }

        /** Modulus of elasticity, N/mm2. */
        public double modulus() {
            return carbide ? CARBIDE : STEEL;
        }
    }

    /**
     * Within what it may be used.
     *
     * @param minSpeed and {@code maxSpeed}: rev/min
     * @param life metres of cut until it is worn; 0: nobody said
     */
    public record Limits(double minSpeed, double maxSpeed, double life) {

        public Limits {
            requireAtLeast(minSpeed, "least speed", "rev/min");
            requireAbove(maxSpeed, minSpeed, "A tool", "greatest speed", "rev/min");
            requireAtLeast(life, "life", "m");
        }
    }

    public ToolKind kind() {
        return form.kind();
    }

    public double diameter() {
        return form.diameter();
    }

    /** Deepest cut at once, mm. */
    public double passDepth() {
        return edges.passDepth() * form.diameter();
    }

    private static void requireAtLeast(double value, String name, String unit) {
        require(
                value >= 0 && Double.isFinite(value),
                "A tool has a %s of %s %s; it is at least 0."
                        .formatted(name, Numbers.plain(value, 4), unit));
    }

    private static void requireAbove(
            double value, double least, String what, String name, String unit) {
        require(
                value > least && Double.isFinite(value),
                "%s has a %s of %s %s; it is above %s."
                        .formatted(
                                what,
                                name,
                                Numbers.plain(value, 4),
                                unit,
                                Numbers.plain(least, 4)));
    }

    private static void requireWithin(
            double value, double least, double most, String what, String name, String unit) {
        require(
                value >= least && value <= most,
                "%s has a %s of %s %s; it lies between %s and %s."
                        .formatted(
                                what,
                                name,
                                Numbers.plain(value, 4),
                                unit,
                                Numbers.plain(least, 4),
                                Numbers.plain(most, 4)));
    }

    private static void require(boolean holds, String otherwise) {
        if (!holds) {
            throw new CutDataException(otherwise);
        }
    }
}
