package dev.oleander.nesting;

import java.util.Optional;

/**
 * What every nest of a task keeps to.
 *
 * @param gap least distance of two parts, mm
 * @param margin least distance of a part from the edge of the sheet and of its holes, mm
 * @param inOpenings whether parts may lie in openings of others
 * @param remnant when a rest is worth something; empty: never
 */
public record NestRules(
        double gap, double margin, boolean inOpenings, Optional<RemnantRule> remnant) {

    public NestRules {
        if (!(gap >= 0) || !(margin >= 0)) {
            throw new NestException(
                    "Gap %s mm, margin %s mm: neither may be less than 0.".formatted(gap, margin));
        }
    }

    /**
     * A rest that is kept: a plain rectangle beside or above all parts of a plain sheet.
     *
     * @param least mm that both of its sides must have
     * @param share of the price of the sheet, by area, that it is worth
     */
    public record RemnantRule(double least, double share) {}
}
