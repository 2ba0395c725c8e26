package dev.oleander.winding.path;

/** The middle of a band, laid without a break; again and again when it is asked beyond its end. */
public interface BandPath {

    /** mm of what comes again. */
    double length();

    /** Radians by which the mandrel turns for it. */
    double angle();

    /**
     * @param l mm laid, 0 or more
     */
    PathPoint at(double l);
}
