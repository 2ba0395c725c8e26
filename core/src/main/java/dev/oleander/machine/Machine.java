package dev.oleander.machine;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A machine: what it can reach, how fast it moves, what its people cost.
 *
 * @param id short name for addresses, lower case
 * @param dialect name of the format of its programs
 * @param pathDeviation mm; how far the path may be left at a corner, which sets the corner speed
 * @param hourlyRate money per hour of machine time, in the shop's currency
 * @param setUpMinutes of machine time for every lot: loading, program, first piece
 * @param head what hangs over the sheet
 * @param habits how it is usually worked with
 * @param work word of the kind of work it does
 * @param unit what it has for that besides
 * @param axes those besides X and Y, each once
 * @param heads that can cut the same at once
 */
public record Machine(
        String id,
        String name,
        String process,
        String dialect,
        Travel travel,
        Motion motion,
        double pathDeviation,
        double hourlyRate,
        double setUpMinutes,
        Head head,
        Habits habits,
        String work,
        MachineUnit unit,
        List<Axis> axes,
        Heads heads) {

    public Machine {
        axes = axes == null ? List.of() : List.copyOf(axes);
        work = Objects.requireNonNullElse(work, "");
        unit = Objects.requireNonNullElse(unit, MachineUnit.NONE);
        heads = Objects.requireNonNullElse(heads, Heads.ONE);
    }

    Machine of(MachineKind kind, MachineUnit itsUnit) {
        return with(habits, kind.work(), itsUnit, axes);
    }

    /** The same worked with in another way. */
    public Machine with(Habits others) {
        return with(others, work, unit, axes);
    }

    /** The same with other axes besides X and Y. */
    public Machine with(List<Axis> others) {
        return with(habits, work, unit, others);
    }

    /** The same with what else its kind of work has. */
    public Machine with(MachineUnit other) {
        return with(habits, work, other, axes);
    }

    private Machine with(Habits habit, String itsWork, MachineUnit itsUnit, List<Axis> itsAxes) {
        return new Machine(
                id,
                name,
                process,
                dialect,
                travel,
                motion,
                pathDeviation,
                hourlyRate,
                setUpMinutes,
                head,
                habit,
                itsWork,
                itsUnit,
                itsAxes,
                heads);
    }

    /** The axis of a name; empty when it has none. */
    public Optional<Axis> axis(Axis.Name name) {
        return axes.stream().filter(a -> a.name() == name).findFirst();
    }

    /**
     * What hangs over the sheet and can hit something.
     *
     * @param radius round the axis of the process, mm
     * @param lift its height above the sheet when it is up, mm
     */
    public record Head(double radius, double lift) {}

    /**
     * Heads that cut the same at once, one above the other.
     *
     * @param count how many there are
     * @param leastPitch mm from one to the next when they stand closest
     * @param mostPitch when they stand farthest apart
     */
    public record Heads(int count, double leastPitch, double mostPitch) {

        static final Heads ONE = new Heads(1, 0, 0);

        /** Whether they can stand so far apart, mm. */
        public boolean canStand(double pitch) {
            return pitch >= leastPitch && pitch <= mostPitch;
        }
    }

    /** Usable travel of the head, mm. */
    public record Travel(double x, double y) {}

    /**
     * Limits of motion.
     *
     * @param rapid mm/min along each axis when the process is off
     * @param acceleration mm/s2 along each axis
     * @param liftSeconds time to raise the head before a travel
     * @param lowerSeconds time to lower and settle it after
     */
    public record Motion(
            double rapid, double acceleration, double liftSeconds, double lowerSeconds) {}

    /**
     * How a machine is usually worked with.
     *
     * @param slatPitch mm between the slats that carry the sheet; 0 when there are none
     * @param lowTravel mm; longest way on which the head stays down over whole material; 0 when it
     *     always lifts
     * @param compensation who moves the path off the drawn line
     * @param scrapOn side of the travel on which the scrap lies
     */
    public record Habits(
            double slatPitch,
            double lowTravel,
            Compensation compensation,
            Hand scrapOn,
            HeatRule heat,
            HoldRule hold,
            TabRule tabs) {}

    /** Left or right of the travel. */
    public enum Hand {
        LEFT,
        RIGHT
    }

    /**
     * When a start near a fresh cut burns badly.
     *
     * @param fromThickness mm; thinner sheets cool quickly enough
     * @param distance mm; farther off it does not matter
     * @param seconds after which a cut has cooled
     * @param cost seconds that a start on a cut made just now is worth avoiding
     */
    public record HeatRule(double fromThickness, double distance, double seconds, double cost) {}

    /**
     * Where a sheet is held, and what it costs to weaken it where it is loose.
     *
     * @param upToThickness mm; thicker sheets lie still by their own weight
     * @param cost seconds that a metre of cut at the loose edge is worth coming last instead of
     *     first
     */
    public record HoldRule(HeldEdge edge, double upToThickness, double cost) {}

    /**
     * How tabs are made.
     *
     * @param length mm left uncut
     * @param liftFrom mm of thickness from which the head lifts over a tab; 0: never
     * @param restart share of the pierce's time that starting again in the kerf takes
     * @param tipsBelow mm; a part that is smaller in both directions could tip or fall between the
     *     slats
     */
    public record TabRule(double length, double liftFrom, double restart, double tipsBelow) {}
}
