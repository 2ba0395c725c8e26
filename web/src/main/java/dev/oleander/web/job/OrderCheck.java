package dev.oleander.web.job;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/** Whether an order can be planned at all: known machine and material, sensible numbers. */
@Component
class OrderCheck {

    private static final int LONGEST_NAME = 160;

    /** mm; beyond, no machine of this kind cuts and a unit was mistaken. */
    private static final double THICKEST = 400;

    private final MachineLibrary machines;
    private final Books books;
    private final OleanderSettings settings;

    OrderCheck(MachineLibrary machines, Books books, OleanderSettings settings) {
        this.machines = machines;
        this.books = books;
        this.settings = settings;
    }

    /**
     * A thickness the cut book does not reach is no refusal: the job may wait for data.
     *
     * @throws RefusedEditException naming the value and what is allowed
     */
    void check(JobDocument.Order order) {
        Machine machine =
                machines.find(order.machine()).orElseThrow(() -> unknown(order.machine()));
        if (order.name().isBlank() || order.name().length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "A job needs a name of 1 to %d characters.".formatted(LONGEST_NAME));
        }
        JobNames.requirePlain("name", order.name());
        JobNames.requirePlain("customer", order.customer());
        List<String> materials = books.of(machine).materials();
        if (materials.stream().noneMatch(order.material()::equalsIgnoreCase)) {
            throw new RefusedEditException(
                    "The cut book of %s has no data for \"%s\"; it has %s."
                            .formatted(
                                    machine.name(),
                                    order.material(),
                                    String.join(", ", materials)));
        }
        double thickness = order.thickness().value();
        if (!(thickness > 0 && thickness <= THICKEST)) {
            throw new RefusedEditException(
                    "The thickness is %s mm; it must be more than 0 and at most %s mm."
                            .formatted(Numbers.plain(thickness, 3), Numbers.plain(THICKEST, 0)));
        }
        if (order.quantity() < 1 || order.quantity() > settings.mostCopies()) {
            throw new RefusedEditException(
                    "The quantity is %d; it must lie between 1 and %d."
                            .formatted(order.quantity(), settings.mostCopies()));
        }
    }

    /**
     * A document that may be kept after another one: its order makes sense, its material is called
     * as the cut book calls it, and words that were not there before are words of the cut book.
     *
     * @throws RefusedEditException naming the value and what is allowed
     */
    JobDocument checked(JobDocument before, JobDocument after) {
        check(after.order());
        Machine machine = machines.find(after.order().machine()).orElseThrow();
        Work<?, ?> kind = Kinds.of(machine);
        Set<String> words = new TreeSet<>(wordsOfData(after, kind));
        words.removeAll(wordsOfData(before, kind));
        // of the whole book: a word without data for this material is told by the proof
        List<String> known = books.of(machine).words();
        for (String word : words) {
            if (!known.isEmpty() && !known.contains(word)) {
                throw new RefusedEditException(
                        "The cut book of %s has no %s \"%s\"; it has %s."
                                .formatted(
                                        machine.name(),
                                        kind.wordOfData(),
                                        word,
                                        String.join(", ", known)));
            }
        }
        String called =
                books.of(machine).materials().stream()
                        .filter(after.order().material()::equalsIgnoreCase)
                        .findFirst()
                        .orElseThrow();
        return called.equals(after.order().material())
                ? after
                : after.withOrder(after.order().withMaterial(called));
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> Set<String> wordsOfData(
            JobDocument document, Work<C, S> kind) {
        Set<String> words = new HashSet<>(kind.words(document.choices(kind)));
        words.remove("");
        return words;
    }

    private RefusedEditException unknown(String machine) {
        return new RefusedEditException(NotFoundException.machine(machine, machines).getMessage());
    }
}
