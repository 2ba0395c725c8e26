package dev.oleander.web.library;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.WireBooks;
import dev.oleander.work.Work;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.book.WireRow;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a wire machine with its cut book. */
@Component
class WireBookPage implements BookPage {

    private final MachineLibrary machines;
    private final WireBooks books;

    WireBookPage(MachineLibrary machines, WireBooks books) {
        this.machines = machines;
        this.books = books;
    }

    @Override
    public Work<?, ?> kind() {
        return WireCutting.WIRE;
    }

    @Override
    public String show(
            Machine machine, String find, BookProblem problem, SignedIn who, Model model) {
        List<WireRow> rows =
                books.of(machine).rows().stream()
                        .filter(r -> BookProblem.matches(r.label(), find))
                        .toList();
        model.addAttribute("who", who);
        model.addAttribute("machine", machine);
        model.addAttribute("machines", machines.machines());
        model.addAttribute("find", find);
        model.addAttribute("rows", rows);
        model.addAttribute("history", books.history(machine));
        model.addAttribute("wrong", problem.of());
        model.addAttribute("error", problem.sentence());
        return "wire-book";
    }
}
