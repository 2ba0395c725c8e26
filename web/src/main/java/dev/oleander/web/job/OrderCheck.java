package dev.oleander.web.job;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.book.WireBooks;
import java.util.List;
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
        List<String> materials =
                machine.hasWire()
                        ? wireBooks.of(machine).materials()
                        : books.of(machine).materials();
        if (!materials.contains(order.material())) {
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

    private RefusedEditException unknown(String machine) {
        return new RefusedEditException(NotFoundException.machine(machine, machines).getMessage());
    }
}
