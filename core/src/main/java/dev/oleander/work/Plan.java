package dev.oleander.work;

import dev.oleander.book.BookRow;
import dev.oleander.material.Leftover;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.ProofInput;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What is planned for a job, as far as all kinds of work are alike. Thread-safe. */
public interface Plan {

    Run run();

    /** Whether the machine waits for people at a stop, besides the events that were set for it. */
    default boolean waits(Stop stop) {
        return false;
    }

    /**
     * Whether what matters of its order is when people are needed, rather than which part a stop
     * belongs to.
     */
    default boolean runsAlone() {
        return false;
    }

    /** Where the copies of the drawing lie, in the order of their numbers, which have no gaps. */
    List<Placement> copies();

    /** How many of what the job asks for come of it. */
    default int made() {
        return run().layout().placed();
    }

    /** What of the demand lies on its bed. */
    default Demand placed() {
        return Demand.on(run().layout().placements());
    }

    /** What of its run must come before what. */
    RunRules rules();

    /** The motion of the head with its times; computed when it is first asked for. */
    Timeline timeline(Progress progress);

    /** What the run uses up besides the time of the machine: gas, abrasive, energy; money. */
    double running();

    /** The program that is written for the controller. */
    PostedProgram posted();

    /** What the proof looks at. */
    ProofInput proofInput();

    /** Rows of the cut book that it uses. */
    List<? extends BookRow> dataInUse();

    /** What it takes away of a panel that lies alone; empty when the kind of work has no depth. */
    default Optional<TakenAway> takenAway() {
        return Optional.empty();
    }

    /** Names of stops for comments in programs, by id. */
    default Map<String, String> stopNames() {
        return run().stops().stream()
                .collect(
                        Collectors.toMap(
                                Stop::id,
                                stop -> "%d %s".formatted(stop.number(), stop.name()),
                                (a, b) -> a));
    }

    /** Which pieces come free, and when; none where rules of the kind say that. */
    default MaterialState material() {
        return new MaterialState(List.of());
    }

    /** Where the parts differ from the drawing in the end. */
    default List<Leftover> remains() {
        return List.of();
    }

    /** Whether equal copies may be written as calls of one subprogram, if the format knows that. */
    boolean callsCopies();

    /**
     * What a program that was read back does, judged by this kind of work, besides being the same
     * items as planned.
     *
     * @param read some stops or all as a program of their own
     * @param stops ids of those; empty: the whole run
     */
    Recheck recheck(Program read, Optional<Set<String>> stops);

    /**
     * What a machine holds while a stop is done, and must change for another.
     *
     * @param mark a letter or a number
     * @param name for people
     * @param used mm that it works here
     * @param life mm that it works in all; 0: not known
     */
    record Held(String mark, String name, double used, double life) {}

    /** What is held while a stop is done; empty where nothing is changed between stops. */
    default Optional<Held> held(Stop stop) {
        return Optional.empty();
    }

    /**
     * What came of it.
     *
     * @param deviation greatest distance from what is planned, mm
     * @param faults sentences; none when it does what is planned
     */
    record Recheck(double deviation, List<String> faults) {

        public static final Recheck NOTHING = new Recheck(0, List.of());
    }
}
