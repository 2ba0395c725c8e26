package dev.oleander.nesting.choice;

import dev.oleander.machine.Machine;
import dev.oleander.nesting.Heads;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestRules;
import dev.oleander.quantity.Numbers;
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
 * @param heads that cut at once; null: one
 * @param headPitch mm from one head to the next; null: so that they share the height of each sheet
 */
public record DistanceChoices(
        Typed gap,
        Typed margin,
        boolean inOpenings,
        Typed leastRest,
        double restShare,
        Boolean commonLines,
        Integer heads,
        Typed headPitch) {

    public static final DistanceChoices USUAL =
            new DistanceChoices(null, null, true, Typed.of(200), 0.5, null, null, null);

    /**
     * @param usual gap and margin where nothing was said, mm
     * @param kerf of all parts, mm; empty when they have none in common
     * @param machine that cuts; what it cannot do with its heads is left out
     */
    public NestRules rules(double usual, Optional<Double> kerf, Machine machine) {
        return new NestRules(
                gap == null ? usual : gap.value(),
                margin == null ? usual : margin.value(),
                inOpenings,
                Optional.ofNullable(leastRest)
                        .map(least -> new NestRules.RemnantRule(least.value(), restShare)),
                kerf.filter(width -> sharesCuts()),
                headsOf(machine));
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withGap(Typed value) {
        return new DistanceChoices(
                value, margin, inOpenings, leastRest, restShare, commonLines, heads, headPitch);
    }

    /**
     * @param value null: as is usual
     */
    public DistanceChoices withMargin(Typed value) {
        return new DistanceChoices(
                gap, value, inOpenings, leastRest, restShare, commonLines, heads, headPitch);
    }

    public DistanceChoices withInOpenings(boolean value) {
        return new DistanceChoices(
                gap, margin, value, leastRest, restShare, commonLines, heads, headPitch);
    }

    /**
     * @param value null: no rest is kept
     */
    public DistanceChoices withLeastRest(Typed value) {
        return new DistanceChoices(
                gap, margin, inOpenings, value, restShare, commonLines, heads, headPitch);
    }

    public DistanceChoices withRestShare(double value) {
        return new DistanceChoices(
                gap, margin, inOpenings, leastRest, value, commonLines, heads, headPitch);
    }

    public boolean sharesCuts() {
        return Boolean.TRUE.equals(commonLines);
    }

    public DistanceChoices withCommonLines(boolean value) {
        return new DistanceChoices(
                gap,
                margin,
                inOpenings,
                leastRest,
                restShare,
                value ? true : null,
                heads,
                headPitch);
    }

    /** As many as the machine has, set as far apart as it can. */
    private Optional<Heads> headsOf(Machine machine) {
        Machine.Heads there = machine.heads();
        int count = Math.min(headsAtOnce(), there.count());
        return count == 1
                ? Optional.empty()
                : Optional.of(
                        new Heads(
                                count,
                                pitch().filter(there::canStand),
                                there.leastPitch(),
                                there.mostPitch()));
    }

    private Optional<Double> pitch() {
        return Optional.ofNullable(headPitch).map(Typed::value);
    }

    /**
     * @throws NestException when the machine has fewer heads, or they cannot stand so
     */
    public void requireHeads(Machine machine) {
        Machine.Heads there = machine.heads();
        if (headsAtOnce() > there.count()) {
            throw new NestException(
                    "%d heads are to cut at once; %s has %d."
                            .formatted(headsAtOnce(), machine.name(), there.count()));
        }
        if (headsAtOnce() > 1 && pitch().filter(p -> !there.canStand(p)).isPresent()) {
            throw new NestException(
                    "Heads %s mm apart: those of %s can stand %s to %s mm apart."
                            .formatted(
                                    headPitch.text(),
                                    machine.name(),
                                    Numbers.plain(there.leastPitch(), 1),
                                    Numbers.plain(there.mostPitch(), 1)));
        }
    }

    public int headsAtOnce() {
        return Optional.ofNullable(heads).orElse(1);
    }

    /**
     * @param value null or 1: one
     */
    public DistanceChoices withHeads(Integer value) {
        Integer several = value == null || value == 1 ? null : value;
        return new DistanceChoices(
                gap, margin, inOpenings, leastRest, restShare, commonLines, several, headPitch);
    }

    /**
     * @param value null: so that they share the height of each sheet
     */
    public DistanceChoices withHeadPitch(Typed value) {
        return new DistanceChoices(
                gap, margin, inOpenings, leastRest, restShare, commonLines, heads, value);
    }
}
