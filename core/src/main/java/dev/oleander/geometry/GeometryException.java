package dev.oleander.geometry;

/** A computation that cannot be done for the given shapes; says why and where. */
public class GeometryException extends RuntimeException {

    private final transient Point place;

    protected GeometryException(String message, Point place) {
        super(message);
        this.place = place;
    }

    public Point place() {
        return place;
    }
}
