package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.geometry.Point;

/** A smooth curve in pieces over a parameter; mm. */
interface Spline {

    /** First parameter. */
    double from();

    Point at(double t);

    /** Whether the file says that it closes. */
    boolean closed();

    /** Greatest size of a coordinate, mm. */
    double size();

    /** Draws all pieces with a pen that stands at the start. */
    void draw(OutlinePen pen);
}
