package dev.oleander.work.sheet.book;

import dev.oleander.book.BookRow;
import dev.oleander.quantity.Numbers;

/**
 * Cutting data for one material and thickness; lengths mm, feeds mm/min, times s.
 *
 * @param id unique within the machine, for example ms-6-fine
 * @param interpolated whether it was computed between two thicknesses of the book
 * @param markFeed feed for marking the surface
 * @param smallestHole smallest diameter that comes out round
 * @param lead length of a lead-in that is certain to be through
 * @param pierceClearance least distance of the pierce from kept material
 * @param overRun how far to cut past the closing point
 * @param power of a laser, W; current of a plasma cutter, A; abrasive of a waterjet, g/min
 * @param gas what cuts or carries
 * @param pressure of it, bar
 * @param corner how the feed is reduced at corners
 * @param cost what running with these data costs besides the machine's rate
 */
public record CutRow(
        String id,
        String material,
        double thickness,
        String quality,
        boolean interpolated,
        double kerf,
        double feed,
        double markFeed,
        double pierceSeconds,
        double pierceHeight,
        double cutHeight,
        double smallestHole,
        double lead,
        double pierceClearance,
        double overRun,
        double power,
        String gas,
        double pressure,
        Corner corner,
        Cost cost)
        implements BookRow {

    public CutRow {
        if (!(kerf > 0 && feed > 0 && markFeed > 0 && thickness > 0 && lead > 0)) {
            throw new IllegalArgumentException(
                    "cut data %s: kerf, feeds, thickness and lead must be > 0".formatted(id));
        }
    }

    /** Name for people: mild steel 6, fine. */
    @Override
    public String label() {
        return "%s %s, %s".formatted(material, Numbers.plain(thickness, 2), quality);
    }

    /**
     * Feed at corners.
     *
     * @param over degrees the path must turn for it to matter
     * @param share of the feed that is left; 1 when it is not reduced
     * @param within mm before and after the corner
     */
    public record Corner(double over, double share, double within) {}

    /**
     * Money, in the shop's currency.
     *
     * @param hour gas, abrasive, energy and wear per hour of cutting
     * @param pierce wear per pierce
     */
    public record Cost(double hour, double pierce) {}
}
