package dev.oleander.work.sheet.order;

import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.TravelTime;

/**
 * What an order costs.
 *
 * @param travel time that the machine's head takes between stops
 * @param heat what starting near a fresh cut costs
 * @param loosening what cutting early where the sheet is loose costs
 */
public record OrderCosts(TravelTime travel, Heat heat, Loosening loosening) {

    /** Those of a few stops among many: where in the run they come is settled. */
    OrderCosts amongMany() {
        return new OrderCosts(travel, heat, Loosening.NONE);
    }
}
