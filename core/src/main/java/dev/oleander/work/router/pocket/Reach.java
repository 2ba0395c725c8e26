package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;

/**
 * What a round tool reaches of a pocket. With P the pocket and R the radius the centre may go where
 * P is eroded by R; what is clean then is that dilated by R, and the rest is P without it.
 *
 * @param pocket what is to be cleared; islands are openings
 * @param radius of the tool, mm
 * @param centres where its axis may be
 * @param clean what it can clear
 * @param rest what it leaves, whatever way it takes
 */
public record Reach(
        List<Region> pocket,
        double radius,
        List<Region> centres,
        List<Region> clean,
        List<Region> rest) {

    /**
     * mm; narrower pieces are rounding where a wall and what follows it differ in the last digits.
     */
    static final double SLIVER = 1e-5;

    /** Of a pocket that nothing was cut of yet. */
    public static Reach of(List<Region> pocket, double radius) {
        List<Region> centres = Offsetter.round().offset(pocket, -radius);
        return of(pocket, radius, centres);
    }

    private static Reach of(List<Region> pocket, double radius, List<Region> centres) {
        List<Region> clean = Offsetter.round().offset(centres, radius);
        return new Reach(pocket, radius, centres, clean, pieces(pocket, clean));
    }

    /**
     * Of what this one leaves, by a smaller tool: it goes only where its centre, wherever the
     * pocket lets it, comes near enough to touch a rest.
     *
     * @param smaller radius, mm
     * @param near mm beyond that in which it may turn and come in
     */
    public Reach restBy(double smaller, double near) {
        List<Region> wide = Offsetter.round().offset(rest, smaller + near);
        List<Region> may = Offsetter.round().offset(pocket, -smaller);
        List<Region> centres = Overlay.intersection(may, wide);
        List<Region> clean = Offsetter.round().offset(centres, smaller);
        return new Reach(rest, smaller, centres, clean, pieces(rest, clean));
    }

    /** What one set of regions has beyond another, without slivers. */
    static List<Region> pieces(List<Region> of, List<Region> without) {
        return real(Overlay.difference(of, without));
    }

    static List<Region> real(List<Region> regions) {
        List<Region> real = new ArrayList<>();
        for (Region piece : regions) {
            if (!Offsetter.round().offset(piece, -SLIVER).isEmpty()) {
                real.add(piece);
            }
        }
        return List.copyOf(real);
    }

    /** mm2 */
    public static double area(List<Region> regions) {
        return regions.stream().mapToDouble(Region::area).sum();
    }
}
