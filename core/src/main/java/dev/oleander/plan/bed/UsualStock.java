package dev.oleander.plan.bed;

import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.quantity.Typed;
import java.util.List;

/**
 * The stock that is taken where nobody chose one: round the parts on wire machines, else the
 * smallest usual sheet that the part fits on and the machine can travel over.
 */
public final class UsualStock {

    /** Length and width of sheets as they are sold, mm. */
    private static final List<double[]> SHEETS =
            List.of(
                    new double[] {1500, 1000},
                    new double[] {2000, 1000},
                    new double[] {2500, 1250},
                    new double[] {3000, 1500});

    /** mm round a part. */
    private static final double MARGIN = 10;

    private static final double ROUNDED = 10;

    private UsualStock() {}

    /**
     * The same choices with every size of the stock decided.
     *
     * @param part box of the drawing before it is turned, mm
     */
    public static SheetChoices decided(SheetChoices wished, Machine machine, Box part) {
        boolean sized = wished.width() != null || wished.height() != null;
        boolean around =
                wished.aroundPart() == null
                        ? machine.unit().usesCutStock() && !sized
                        : wished.aroundPart();
        double[] usual = sheet(machine, part);
        return wished.withStock(
                new SheetChoices.Stock(
                        around,
                        wished.width() == null ? Typed.of(usual[0]) : wished.width(),
                        wished.height() == null ? Typed.of(usual[1]) : wished.height(),
                        wished.allowance()));
    }

    private static double[] sheet(Machine machine, Box part) {
        Machine.Travel travel = machine.travel();
        double[] largest = {
            Math.floor(travel.x() / ROUNDED) * ROUNDED, Math.floor(travel.y() / ROUNDED) * ROUNDED
        };
        for (double[] sheet : SHEETS) {
            boolean reached = sheet[0] <= travel.x() && sheet[1] <= travel.y();
            boolean fits =
                    part.width() + 2 * MARGIN <= sheet[0] && part.height() + 2 * MARGIN <= sheet[1];
            if (reached && fits) {
                return sheet;
            }
        }
        return largest;
    }
}
