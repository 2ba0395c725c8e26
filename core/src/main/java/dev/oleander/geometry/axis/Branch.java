package dev.oleander.geometry.axis;

/**
 * A stretch of the middle axis on which all discs touch the same two pieces of the border: a part
 * of a line or a conic. Thread-safe.
 */
public final class Branch {

    private final Border border;
    private final Envelope.Stretch stretch;

    Branch(Border border, Envelope.Stretch stretch) {
        this.border = border;
        this.stretch = stretch;
    }

    public AxisPoint start() {
        return at(0);
    }

    public AxisPoint end() {
        return at(1);
    }

    /**
     * @param u 0 to 1; not in proportion to length
     */
    public AxisPoint at(double u) {
        Foot foot = new Foot();
        double s = stretch.from() + u * (stretch.to() - stretch.from());
        border.foot(stretch.site(), s, foot);
        double most = border.most(stretch.site());
        double r = Math.min(most, border.touching(stretch.other(), foot));
        return new AxisPoint(
                border.origin.x() + foot.centreX(r), border.origin.y() + foot.centreY(r), r);
    }
}
