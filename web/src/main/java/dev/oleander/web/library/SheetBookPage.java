package dev.oleander.web.library;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.CutBooks;
import dev.oleander.work.Work;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.WaterjetBook;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a machine that cuts sheets, with its cut book. */
@Component
class SheetBookPage implements BookPage {

    private final MachineLibrary machines;
    private final CutBooks books;

    SheetBookPage(MachineLibrary machines, CutBooks books) {
        this.machines = machines;
        this.books = books;
    }

    @Override
    public Work<?, ?> kind() {
        return SheetCutting.SHEET;
    }

    @Override
    public String show(
            Machine machine, String find, BookProblem problem, SignedIn who, Model model) {
        CutBook book = books.of(machine);
        List<CutRow> rows = book.rows().stream().filter(r -> matches(r, find)).toList();
        model.addAttribute("who", who);
        model.addAttribute("machine", machine);
        model.addAttribute("machines", machines.machines());
        model.addAttribute("find", find);
        model.addAttribute("book", MaterialRows.of(rows));
        model.addAttribute("rows", rows.size());
        model.addAttribute("power", powerLabel(machine.process()));
        model.addAttribute("history", books.history(machine));
        model.addAttribute("wrong", problem.of());
        model.addAttribute("error", problem.sentence());
        if (book instanceof WaterjetBook computed) {
            model.addAttribute("waterjet", computed.waterjet());
            model.addAttribute(
                    "qualities", computed.qualities("mild steel", computed.waterjet().thinnest()));
        }
        return "cut-book";
    }

    private static boolean matches(CutRow row, String find) {
        return BookProblem.matches(row.label() + " " + row.gas(), find);
    }

    static String powerLabel(String process) {
        return switch (process) {
            case "plasma" -> "Current A";
            case "waterjet" -> "Abrasive g/min";
            default -> "Power W";
        };
    }
}
