package dev.oleander.work.wire.cut;

import dev.oleander.machine.Machine;
import dev.oleander.plan.order.Turning;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.book.WireUnit;

/**
 * What a plan is made for.
 *
 * @param material of the work
 * @param height of the work, mm
 * @param quantity copies of the drawing
 * @param firstCopy number of the first of them
 * @param density of the material, kg/m3; 0 when nobody knows
 */
public record WireTask(
        Machine machine,
        WireBook book,
        String material,
        double height,
        int quantity,
        int firstCopy,
        double density) {

    /** With copies that are numbered from 1. */
    public WireTask(
            Machine machine,
            WireBook book,
            String material,
            double height,
            int quantity,
            double density) {
        this(machine, book, material, height, quantity, 1, density);
    }

    /**
     * What turning the work with the rotary axis costs.
     *
     * @param from degrees at which the axis is
     */
    public Turning turning(double from) {
        return new Turning(
                from, WireUnit.of(machine).indexSeconds(), WireUnit.of(machine).indexSpeed());
    }
}
