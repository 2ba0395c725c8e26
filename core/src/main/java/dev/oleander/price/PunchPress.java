package dev.oleander.price;

import java.util.List;
import java.util.Map;

/**
 * A machine that punches sheet with the tools of a turret. Lengths mm, times s, speeds mm/s, money
 * in the shop's currency.
 *
 * @param hourlyRate of machine and people
 * @param setUpMinutes for every lot
 * @param hourlyCost of running besides the rate
 * @param toolCost wear and grinding, for every tool and lot
 * @param speed of the sheet between hits, with {@code acceleration} mm/s2
 * @param hitSeconds time of a hit itself
 * @param toolSeconds to bring another tool under the ram
 * @param window over which the sheet is held; beyond it is gripped anew
 * @param thickest by material
 * @param round diameters of round tools
 * @param square sides of square ones
 * @param shear tool for straight edges
 * @param nibbler diameter of the round tool that follows curves
 * @param scallop height that may stay between two of its hits
 */
public record PunchPress(
        String name,
        double hourlyRate,
        double setUpMinutes,
        double hourlyCost,
        double toolCost,
        double speed,
        double acceleration,
        double hitSeconds,
        double toolSeconds,
        Window window,
        double repositionSeconds,
        Map<String, Double> thickest,
        List<Double> round,
        List<Double> square,
        List<Bar> slots,
        Bar shear,
        double nibbler,
        double scallop) {

    public PunchPress {
        thickest = Map.copyOf(thickest);
        round = List.copyOf(round);
        square = List.copyOf(square);
        slots = List.copyOf(slots);
    }

    /** Sizes over which the sheet is held. */
    public record Window(double x, double y) {}

    /** An oblong tool. */
    public record Bar(double length, double width) {}
}
