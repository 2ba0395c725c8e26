package dev.oleander.nesting;

import java.util.Optional;

/**
 * What every nest of a task keeps to.
 *
 * @param gap least distance of two parts, mm
 * @param margin least distance of a part from the edge of the sheet and of its holes, mm
 * @param inOpenings whether parts may lie in openings of others
 * @param remnant when a rest is worth something; empty: never
 * @param commonLines kerf, mm, at which copies may lie along straight edges of theirs so that one
 *     cut serves both; empty: they may not
 * @param heads that cut at once; empty: one does
 */
public record NestRules(
        double gap,
        double margin,
        boolean inOpenings,
        Optional<RemnantRule> remnant,
        Optional<Double> commonLines,
        Optional<Heads> heads) {

    public NestRules {
        if (!(gap >= 0) || !(margin >= 0)) {
            throw new NestException(
                    "Gap %s mm, margin %s mm: neither may be less than 0.".formatted(gap, margin));
        }
        if (commonLines.isPresent() && !(commonLines.get() > 0)) {
            throw new NestException(
                    "Common lines with a kerf of %s mm: it must be more than 0."
                            .formatted(commonLines.get()));
        }
    }

    /** Without common lines, for one head. */
    public NestRules(double gap, double margin, boolean inOpenings, Optional<RemnantRule> remnant) {
        this(gap, margin, inOpenings, remnant, Optional.empty(), Optional.empty());
    }

    /** The same at other distances. */
    public NestRules at(double otherGap, double otherMargin) {
        return new NestRules(otherGap, otherMargin, inOpenings, remnant, commonLines, heads);
    }

    /** The same for several heads, or for one. */
    public NestRules withHeads(Optional<Heads> value) {
        return new NestRules(gap, margin, inOpenings, remnant, commonLines, value);
    }

    /** The same where no rest is worth anything. */
    public NestRules withoutRemnant() {
        return new NestRules(gap, margin, inOpenings, Optional.empty(), commonLines, heads);
    }

    /** The same, with common lines or without. */
    public NestRules withCommonLines(Optional<Double> kerf) {
        return new NestRules(gap, margin, inOpenings, remnant, kerf, heads);
    }

    /**
     * A rest that is kept: a plain rectangle beside or above all parts of a plain sheet.
     *
     * @param least mm that both of its sides must have
     * @param share of the price of the sheet, by area, that it is worth
     */
    public record RemnantRule(double least, double share) {}
}
