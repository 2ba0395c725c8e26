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
 */
public record DistanceChoices(
        Typed gap, Typed margin, boolean inOpenings, Typed leastRest, double restShare) {

    public static final DistanceChoices USUAL =
            new DistanceChoices(null, null, true, Typed.of(200), 0.5);

    /**
     * @param usual gap and margin where nothing was said, mm
     */
    public NestRules rules(double usual) {
        return new NestRules(
                gap == null ? usual : gap.value(),
                margin == null ? usual : margin.value(),
                inOpenings,
                Optional.ofNullable(leastRest)
                        .map(least -> new NestRules.RemnantRule(least.value(), restShare)));
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withGap(Typed value) {
        return new DistanceChoices(value, margin, inOpenings, leastRest, restShare);
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withMargin(Typed value) {
        return new DistanceChoices(gap, value, inOpenings, leastRest, restShare);
    }

    public DistanceChoices withInOpenings(boolean value) {
        return new DistanceChoices(gap, margin, value, leastRest, restShare);
    }

    /**
     * @param value null: no rest is kept
     */
    public DistanceChoices withLeastRest(Typed value) {
        return new DistanceChoices(gap, margin, inOpenings, value, restShare);
    }

    public DistanceChoices withRestShare(double value) {
        return new DistanceChoices(gap, margin, inOpenings, leastRest, value);
    }
}
