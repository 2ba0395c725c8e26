package dev.oleander.work;

import dev.oleander.machine.Book;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choices;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Named;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A kind of work: what machines of one sort are programmed for. Implementations have no state and
 * are registered as services.
 *
 * @param <C> what people decide about it
 */
public interface Work<C extends Choices<C>> {

    /** Names it in files and addresses. */
    String word();

    /** Whether it is what a machine does. */
    boolean does(Machine machine);

    Class<C> choices();

    /** Nothing decided: all is as usual. */
    C usual();

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
    C suited(C choices, Book book, String material, double thickness);

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
