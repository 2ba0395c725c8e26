package dev.oleander.web.work.sheet;

import dev.oleander.book.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Shelf;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.library.BookPage;
import dev.oleander.web.library.BookProblem;
import dev.oleander.work.sheet.book.WaterjetBook;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The machinability of a material by a test cut, of machines whose data are computed. */
@Controller
class CalibrationController {

    private final MachineLibrary machines;
    private final Books books;
    private final BookPage page;

    CalibrationController(MachineLibrary machines, Books books, BookPage page) {
        this.machines = machines;
        this.books = books;
        this.page = page;
    }

    @PostMapping("/machines/{id}/calibration")
    String calibrate(
            @PathVariable String id,
            @RequestParam String material,
            @RequestParam String thickness,
            @RequestParam String quality,
            @RequestParam String feed,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        Machine machine =
                machines.find(id)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no machine \"%s\".".formatted(id)));
        try {
            double mm = Typed.parse(thickness, Map.of()).within("The thickness", 0.1, 400).value();
            double speed = Typed.parse(feed, Map.of()).within("The feed", 0.1, 100_000).value();
            calibrate(machine, material, new Cut(mm, quality, speed), who);
            return "redirect:/machines/%s#calibration".formatted(id);
        } catch (CutDataException | FormulaException wrong) {
            boolean computed = books.of(machine) instanceof WaterjetBook;
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page.show(
                    Shelf.of(machine),
                    "",
                    new BookProblem(computed ? "calibration" : "rows", wrong.getMessage()),
                    who,
                    model);
        }
    }

    /** A test cut: thickness in mm, the feed at which the quality was just reached in mm/min. */
    private record Cut(double thickness, String quality, double feed) {}

    private void calibrate(Machine machine, String material, Cut cut, SignedIn who) {
        if (!(books.of(machine) instanceof WaterjetBook book)) {
            throw new CutDataException(
                    "%s has tabulated data; there is nothing to calibrate."
                            .formatted(machine.name()));
        }
        double found = book.calibrated(material, cut.thickness(), cut.quality(), cut.feed());
        double before = book.material(material).machinability();
        books.write(
                machine,
                material,
                Map.of("machinability", before),
                new WaterjetBook.Calibration(found, cut.thickness(), cut.quality(), cut.feed()),
                "test cut of %s mm, %s, at %s mm/min"
                        .formatted(
                                Numbers.plain(cut.thickness(), 2),
                                cut.quality(),
                                Numbers.plain(cut.feed(), 1)),
                who);
    }
}
