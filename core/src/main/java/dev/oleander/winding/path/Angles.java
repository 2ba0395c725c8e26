package dev.oleander.winding.path;

import java.util.List;

/**
 * The angle of a band on its way from a station to an end, as c = r sin alpha (Clairaut's number):
 * regular also where the band turns.
 *
 * <p>Everything is asked by the distance y from the station, mm of meridian, toward the end.
 */
interface Angles {

    /** mm: r sin alpha. */
    double c(double y);

    /** Steering there, positive where the band turns the earlier. */
    double lambda(double y);

    /** Where the way it goes on changes, beside joints of the mandrel. */
    List<Double> breaks();
}
