package dev.oleander.work.sheet.cut;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.OffsetException;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Optional;

/**
 * The path of the head's centre round a contour: half a kerf away on the side of the scrap. It runs
 * so that the scrap lies on the wanted side of the travel.
 */
public final class KerfPath {

    /** Halvings when a width is measured: from metres down to below 1 um. */
    private static final int HALVINGS = 24;

    /** Corners of more than 60 degrees stay sharp; needles are rounded even then. */
    private static final double MITRE = 2;

    private final Offsetter offsetter;

    /**
     * @param sharp whether outer corners run on to where both edges of the kerf meet
     */
    public KerfPath(boolean sharp) {
        OffsetOptions usual = OffsetOptions.defaults();
        this.offsetter = new Offsetter(sharp ? usual.withMitres(MITRE) : usual);
    }

    /** Either a path or the reason why there is none. */
    public record Result(Optional<Contour> path, Optional<Refusal> refusal) {

        public static Result of(Contour path) {
            return new Result(Optional.of(path), Optional.empty());
        }

        static Result refused(Refusal refusal) {
            return new Result(Optional.empty(), Optional.of(refusal));
        }
    }

    public Result of(Feature feature, Side side, double kerf, Turn turn) {
        Contour contour = feature.contour();
        if (side == Side.ON) {
            return Result.of(contour.turning(turn == Turn.SCRAP_LEFT));
        }
        double outward = side == Side.OUTSIDE ? kerf / 2 : -kerf / 2;
        try {
            List<Region> regions = offsetter.offset(contour, outward);
            if (regions.size() == 1) {
                boolean anticlockwise = (side == Side.INSIDE) == (turn == Turn.SCRAP_LEFT);
                return Result.of(regions.get(0).outer().turning(anticlockwise));
            }
            return Result.refused(tooNarrow(contour, kerf, regions.size()));
        } catch (OffsetException impossible) {
            String sentence =
                    "the path half a kerf (%s) from it is impossible. %s"
                            .formatted(Numbers.length(kerf / 2), impossible.getMessage());
            return Result.refused(
                    new Refusal(Refusal.Kind.TOO_NARROW, sentence, impossible.place(), kerf, kerf));
        }
    }

    private Refusal tooNarrow(Contour contour, double kerf, int loops) {
        double width = narrowestWidth(contour, kerf);
        String what = loops == 0 ? "it is only %s wide" : "it has a neck only %s wide";
        return new Refusal(
                Refusal.Kind.TOO_NARROW,
                (what + ", narrower than the kerf of %s.")
                        .formatted(Numbers.length(width), Numbers.length(kerf)),
                contour.stationAt(0).point(),
                width,
                kerf);
    }

    /** Width at which the inner parallel curve breaks up or vanishes, by halving. */
    private double narrowestWidth(Contour contour, double kerf) {
        double whole = 0;
        double broken = kerf / 2;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (whole + broken) / 2;
            if (staysWhole(contour, middle)) {
                whole = middle;
            } else {
                broken = middle;
            }
        }
        return 2 * whole;
    }

    private boolean staysWhole(Contour contour, double inward) {
        return offsetter.offset(contour, -inward).size() == 1;
    }
}
