package dev.oleander.nesting.choice;

import dev.oleander.nesting.NestRules;
import dev.oleander.quantity.Typed;
import java.util.Optional;

/**
 * What every nest keeps to.
 *
 * @param gap between parts, mm; null: as is usual for the cut
 * @param margin at the edge, mm; null: as is usual for the cut
 * @param inOpenings whether parts may lie in openings of others
 * @param leastRest mm that both sides of a rest must have to be kept; null: none is
 * @param restShare of the price of the sheet, by area, that a rest is worth
 * @param commonLines whether copies may lie a kerf apart and share the cut between them; null: no
 */
public record DistanceChoices(
        Typed gap,
        Typed margin,
        boolean inOpenings,
        Typed leastRest,
        double restShare,
        Boolean commonLines) {

    public static final DistanceChoices USUAL =
            new DistanceChoices(null, null, true, Typed.of(200), 0.5, null);

    /**
     * @param usual gap and margin where nothing was said, mm
     * @param kerf of all parts, mm; empty when they have none in common
     */
    public NestRules rules(double usual, Optional<Double> kerf) {
        return new NestRules(
                gap == null ? usual : gap.value(),
                margin == null ? usual : margin.value(),
                inOpenings,
                Optional.ofNullable(leastRest)
                        .map(least -> new NestRules.RemnantRule(least.value(), restShare)),
                kerf.filter(width -> sharesCuts()));
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withGap(Typed value) {
        return new DistanceChoices(value, margin, inOpenings, leastRest, restShare, commonLines);
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withMargin(Typed value) {
        return new DistanceChoices(gap, value, inOpenings, leastRest, restShare, commonLines);
    }

    public DistanceChoices withInOpenings(boolean value) {
        return new DistanceChoices(gap, margin, value, leastRest, restShare, commonLines);
    }

    /**
     * @param value null: no rest is kept
     */
    public DistanceChoices withLeastRest(Typed value) {
        return new DistanceChoices(gap, margin, inOpenings, value, restShare, commonLines);
    }

    public DistanceChoices withRestShare(double value) {
        return new DistanceChoices(gap, margin, inOpenings, leastRest, value, commonLines);
    }

    public boolean sharesCuts() {
        return Boolean.TRUE.equals(commonLines);
    }

    public DistanceChoices withCommonLines(boolean value) {
        return new DistanceChoices(
                gap, margin, inOpenings, leastRest, restShare, value ? true : null);
    }
}
