package dev.oleander.web.job;

import dev.oleander.machine.CutRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WireRow;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.book.WireBooks;
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
    private final CutBooks books;
    private final WireBooks wireBooks;
    private final OleanderSettings settings;

    OrderCheck(
            MachineLibrary machines,
            CutBooks books,
            WireBooks wireBooks,
            OleanderSettings settings) {
        this.machines = machines;
        this.books = books;
        this.wireBooks = wireBooks;
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
        requirePlain("name", order.name());
        requirePlain("customer", order.customer());
        List<String> materials = materials(machine);
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

    /** Names stand in programs, in files' names and on paper: line breaks have no place there. */
    static void requirePlain(String what, String name) {
        if (name.chars().anyMatch(Character::isISOControl)) {
            throw new RefusedEditException(
                    "The %s has a line break or another control character in it; it must be one line of text."
                            .formatted(what));
        }
    }

    private List<String> materials(Machine machine) {
        return machine.hasWire()
                ? wireBooks.of(machine).materials()
                : books.of(machine).materials();
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
        Set<String> words = new TreeSet<>(wordsOfData(after, machine));
        words.removeAll(wordsOfData(before, machine));
        List<String> known = known(machine);
        for (String word : words) {
            if (!known.isEmpty() && !known.contains(word)) {
                throw new RefusedEditException(
                        "The cut book of %s has no %s \"%s\"; it has %s."
                                .formatted(
                                        machine.name(),
                                        machine.hasWire() ? "finish" : "quality",
                                        word,
                                        String.join(", ", known)));
            }
        }
        String called =
                materials(machine).stream()
                        .filter(after.order().material()::equalsIgnoreCase)
                        .findFirst()
                        .orElseThrow();
        return called.equals(after.order().material())
                ? after
                : after.withOrder(after.order().withMaterial(called));
    }

    /** Words of the whole book: one without data for this material is told by the proof. */
    private List<String> known(Machine machine) {
        return machine.hasWire()
                ? wireBooks.of(machine).rows().stream().map(WireRow::finish).distinct().toList()
                : books.of(machine).rows().stream().map(CutRow::quality).distinct().toList();
    }

    private static Set<String> wordsOfData(JobDocument document, Machine machine) {
        Set<String> words = new HashSet<>();
        if (machine.hasWire()) {
            words.add(document.wire().finish());
            document.wire().stops().values().forEach(c -> words.add(c.passes().finish()));
        } else {
            words.add(document.plan().quality());
            document.plan().stops().values().forEach(c -> words.add(c.quality()));
        }
        words.remove(null);
        words.remove("");
        return words;
    }

    private RefusedEditException unknown(String machine) {
        return new RefusedEditException(NotFoundException.machine(machine, machines).getMessage());
    }
}
