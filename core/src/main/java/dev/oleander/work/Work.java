package dev.oleander.work;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Region;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Named;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A kind of work: what machines of one sort are programmed for. Implementations have no state and
 * are registered as services.
 *
 * @param <C> what people decide about it
 * @param <S> what they can set for a stop
 */
public interface Work<C extends Choices<C, S>, S extends Choice<S>> {

    /** Names it in files and addresses. */
    String word();

    /** Whether it is what a machine does. */
    boolean does(Machine machine);

    Class<C> choices();

    /** Nothing decided: all is as usual. */
    C usual();

    Class<S> choicesOfStops();

    /** What it is done to, in headings: sheets. */
    String label();

    /** What people set for a job as a whole, besides what all kinds of work have. */
    List<Value<C>> values();

    /** What people set for a stop, for one copy or for all. */
    List<Value<S>> stopValues();

    /** Kinds of features that recipes can be for; labels name several of them. */
    List<Word> recipeKinds();

    /** What the time before a cut is spent on: piercing. */
    String starts();

    /** Recipes that new shops begin with. */
    List<Starter<S>> starters();

    /** What the values of the job are asked of. */
    Subject<C> subject(Task<C> task);

    /**
     * What the values of stops are asked of: each feature of each copy once, in the order of the
     * stops, however often it is on the run line.
     *
     * @param plan made for the task
     */
    List<Subject<S>> subjects(Task<C> task, Plan plan, List<Stop> stops);

    /** What a word that chooses among the data is called: quality, finish. */
    String wordOfData();

    /** Words that choose among the data, wherever they stand in the choices. */
    Set<String> words(C choices);

    /**
     * Choices of data that the book has for a material: those made where they are possible.
     *
     * @param thickness mm
     * @throws dev.oleander.machine.CutDataException when it has none for them
     */
    C suited(C choices, Book<?> book, String material, double thickness);

    /** The rules of order that a person can choose, besides by hand. */
    List<? extends Named> orders();

    /** The rule of an order by which choices have it. */
    Named order(C choices);

    /**
     * Choices with all forgotten that was decided for single stops and for their order; what
     * belongs to the work as a whole stays.
     */
    C forgotten(C choices);

    /** With another word that chooses among the data, for the whole job. */
    C withData(C choices, String word);

    /** How much longer a stop takes to plan than one on a sheet. */
    int effort();

    /** Whether parts of several jobs can be nested on one sheet. */
    default boolean nests() {
        return false;
    }

    /**
     * How far its parts must lie from each other where they are nested; empty when they are not.
     */
    default Optional<Spacing> spacing(Task<C> task) {
        return Optional.empty();
    }

    /**
     * What others keep out of where a part is nested: its material, with those openings only that
     * are cut out of it.
     */
    default Region solid(Task<C> task, Part part) {
        return part.region();
    }

    /**
     * How far a part keeps from others where it is nested and needs more room than all do, mm; 0:
     * it needs no more. Two parts lie half of the one and half of the other apart.
     */
    default double room(Task<C> task, Part part) {
        return 0;
    }

    /** What a machine can do to panels; empty when it works none. */
    default Optional<PanelMachine> panels(Machine machine, Book<?> book) {
        return Optional.empty();
    }

    /** One clamping of a panel as a job; empty when the machine works no panels. */
    default Optional<PanelJob<C>> panelJob(PanelJob.Wished wished, Machine machine, Book<?> book) {
        return Optional.empty();
    }

    /**
     * Plans.
     *
     * @param earlier a plan of the same reading on the same machine, of which what still holds may
     *     be taken over
     * @throws dev.oleander.plan.PlanException when there can be no plan
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    Plan plan(Task<C> task, Optional<Plan> earlier, Progress progress);
}
