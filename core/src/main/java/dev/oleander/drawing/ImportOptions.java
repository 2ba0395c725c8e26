package dev.oleander.drawing;

import dev.oleander.quantity.LengthUnit;
import java.util.Optional;

/**
 * How to read a drawing file, and how much of it at most.
 *
 * @param unit taken instead of what the file says
 * @param fit mm; how far lines and arcs may lie from a curve that is neither
 * @param mostBytes size of the file
 * @param mostSegments lines and arcs in the result
 * @param mostInserts blocks and copies that are put in, each time counted
 * @param farthest mm; coordinates beyond are not believed (100 km: no shop drawing is larger)
 * @param mostSeconds time that reading may take
 */
public record ImportOptions(
        Optional<LengthUnit> unit,
        double fit,
        int mostBytes,
        int mostSegments,
        int mostInserts,
        double farthest,
        double mostSeconds) {

    public ImportOptions {
        if (!(fit > 0 && Double.isFinite(fit))) {
            throw new IllegalArgumentException("fit must be > 0 mm: " + fit);
        }
    }

    public static ImportOptions defaults() {
        return new ImportOptions(Optional.empty(), 0.01, 64 << 20, 2_000_000, 1_000_000, 1e8, 10);
    }

    public ImportOptions withUnit(LengthUnit wanted) {
        return new ImportOptions(
                Optional.of(wanted),
                fit,
                mostBytes,
                mostSegments,
                mostInserts,
                farthest,
                mostSeconds);
    }

    public ImportOptions withFit(double mm) {
        return new ImportOptions(
                unit, mm, mostBytes, mostSegments, mostInserts, farthest, mostSeconds);
    }

    /** The same with other limits of size. */
    public ImportOptions withLimits(int bytes, int segments, int inserts) {
        return new ImportOptions(unit, fit, bytes, segments, inserts, farthest, mostSeconds);
    }
}
