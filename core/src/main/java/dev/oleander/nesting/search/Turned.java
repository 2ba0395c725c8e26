package dev.oleander.nesting.search;

/** A body that is mirrored and turned; a place only shifts it. */
final class Turned {

    final Body body;
    final double degrees;
    final boolean mirrored;
    final double[] discX;
    final double[] discY;
    final double minX;
    final double minY;
    final double maxX;
    final double maxY;

    /** The same along the diagonals: of x + y, and of x - y. */
    final double minUp;

    final double maxUp;
    final double minDown;
    final double maxDown;
    private final double cos;
    private final double sin;
    private final double side;

    /** Made when first asked for: most places are refused by discs alone. */
    private Outline outline;

    Turned(Body body, double degrees, boolean mirrored) {
        this.body = body;
        this.degrees = degrees;
        this.mirrored = mirrored;
        double quarters = degrees / 90;
        if (quarters == Math.rint(quarters)) {
            int q = Math.floorMod((int) Math.rint(quarters), 4);
            this.cos = q == 0 ? 1 : q == 2 ? -1 : 0;
            this.sin = q == 1 ? 1 : q == 3 ? -1 : 0;
        } else {
            double angle = StrictMath.toRadians(degrees);
            this.cos = StrictMath.cos(angle);
            this.sin = StrictMath.sin(angle);
        }
        this.side = mirrored ? -1 : 1;
        int discs = body.discR.length;
        this.discX = new double[discs];
        this.discY = new double[discs];
        for (int i = 0; i < discs; i++) {
            discX[i] = x(body.discX[i], body.discY[i]);
            discY[i] = y(body.discX[i], body.discY[i]);
        }
        double lowX = Double.POSITIVE_INFINITY;
        double lowY = lowX;
        double highX = -lowX;
        double highY = -lowX;
        double lowUp = lowX;
        double lowDown = lowX;
        double highUp = -lowX;
        double highDown = -lowX;
        for (int i : body.hull) {
            double x = x(body.xs[i], body.ys[i]);
            double y = y(body.xs[i], body.ys[i]);
            lowUp = Math.min(lowUp, x + y);
            highUp = Math.max(highUp, x + y);
            lowDown = Math.min(lowDown, x - y);
            highDown = Math.max(highDown, x - y);
            lowX = Math.min(lowX, x);
            lowY = Math.min(lowY, y);
            highX = Math.max(highX, x);
            highY = Math.max(highY, y);
        }
        this.minX = lowX;
        this.minY = lowY;
        this.minUp = lowUp;
        this.maxUp = highUp;
        this.minDown = lowDown;
        this.maxDown = highDown;
        this.maxX = highX;
        this.maxY = highY;
    }

    /** Its corners; several threads may make the same one. */
    Outline outline() {
        Outline made = outline;
        if (made == null) {
            made = new Outline(this);
            outline = made;
        }
        return made;
    }

    /** Corners of a turned body, and the boxes of its groups of edges. */
    static final class Outline {

        final double[] xs;
        final double[] ys;

        /** Low x, low y, high x, high y of each group. */
        final double[] boxes;

        Outline(Turned of) {
            Body body = of.body;
            int n = body.xs.length;
            this.xs = new double[n];
            this.ys = new double[n];
            for (int i = 0; i < n; i++) {
                xs[i] = of.x(body.xs[i], body.ys[i]);
                ys[i] = of.y(body.xs[i], body.ys[i]);
            }
            this.boxes = new double[4 * body.groupFrom.length];
            for (int g = 0; g < body.groupFrom.length; g++) {
                box(g, body.groupFrom[g], body.groupTo[g]);
            }
        }

        private void box(int g, int from, int to) {
            double lowX = Double.POSITIVE_INFINITY;
            double lowY = lowX;
            double highX = -lowX;
            double highY = -lowX;
            for (int i = from; i <= to; i++) {
                lowX = Math.min(lowX, xs[i]);
                lowY = Math.min(lowY, ys[i]);
                highX = Math.max(highX, xs[i]);
                highY = Math.max(highY, ys[i]);
            }
            boxes[4 * g] = lowX;
            boxes[4 * g + 1] = lowY;
            boxes[4 * g + 2] = highX;
            boxes[4 * g + 3] = highY;
        }
    }

    /** Where a point of the body comes to lie. */
    double x(double x, double y) {
        return cos * side * x - sin * y;
    }

    double y(double x, double y) {
        return sin * side * x + cos * y;
    }

    /** Direction of an edge of the body as it lies now, rad; mirrored edges run the other way. */
    double direction(double of) {
        double flat = mirrored ? -of : of;
        return flat + StrictMath.toRadians(degrees);
    }

    double width() {
        return maxX - minX;
    }

    double height() {
        return maxY - minY;
    }
}
