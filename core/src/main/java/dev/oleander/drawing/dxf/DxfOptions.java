package dev.oleander.drawing.dxf;

import dev.oleander.quantity.LengthUnit;
import java.util.Optional;

/**
 * How to read a file, and how much of it at most.
 *
 * @param unit taken instead of what the file says
 * @param mostBytes size of the file
 * @param mostSegments lines and arcs in the result
 * @param farthest mm; coordinates beyond are not believed (100 km: no shop drawing is larger)
 */
public record DxfOptions(
        Optional<LengthUnit> unit, int mostBytes, int mostSegments, double farthest) {

    public static DxfOptions defaults() {
        return new DxfOptions(Optional.empty(), 64 << 20, 2_000_000, 1e8);
    }

    public DxfOptions withUnit(LengthUnit wanted) {
        return new DxfOptions(Optional.of(wanted), mostBytes, mostSegments, farthest);
    }
}
