package dev.oleander.web.board;

import dev.oleander.drawing.DrawingException;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.FormulaException;
import dev.oleander.value.ValueException;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.Customers;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.job.store.Stage;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The page of all jobs: search, filter, and drawings dropped on it. */
@Controller
class BoardController {

    private final BoardService board;
    private final MachineLibrary machines;
    private final Books books;
    private final Customers customers;
    private final Arrivals arrivals;
    private volatile Offered offered;

    /** What books of a version offer. */
    private record Offered(long books, Intake intake) {}

    BoardController(
            BoardService board,
            MachineLibrary machines,
            Books books,
            Customers customers,
            Arrivals arrivals) {
        this.arrivals = arrivals;
        this.books = books;
        this.board = board;
        this.machines = machines;
        this.customers = customers;
    }

    @GetMapping("/")
    String board(BoardQuery query, @AuthenticationPrincipal SignedIn who, Model model) {
        return page(query, List.of(), who, model);
    }

    private String page(BoardQuery query, List<String> problems, SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("query", query);
        model.addAttribute("board", board.search(query));
        model.addAttribute("stages", Stage.values());
        model.addAttribute("machines", machines.machines());
        model.addAttribute("intake", intake());
        model.addAttribute("customers", customers.names());
        model.addAttribute("problems", problems);
        model.addAttribute("arrivals", arrivals.of(who));
        return "board";
    }

    /** Made anew when a book changed. */
    private Intake intake() {
        long now = books.version();
        Offered latest = offered;
        if (latest == null || latest.books() != now) {
            latest = new Offered(now, Intake.of(machines, books));
            offered = latest;
        }
        return latest.intake();
    }

    /** One job per file. Files that cannot be read are named; the others become jobs. */
    @PostMapping("/jobs")
    String bring(
            @RequestParam(name = "file") List<MultipartFile> files,
            IntakeForm form,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response)
            throws IOException {
        BoardService.Brought brought = BoardService.Brought.NOTHING;
        for (MultipartFile file : files) {
            brought = brought.plus(bring(file, form, who));
        }
        if (brought.problems().isEmpty()) {
            return brought.jobs().size() == 1 && files.size() == 1
                    ? "redirect:/jobs/%d/shape".formatted(brought.jobs().get(0))
                    : "redirect:/";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(BoardQuery.EVERYTHING, brought.sentences(), who, model);
    }

    /** A job without a file: the part is drawn on Shape. */
    @PostMapping("/jobs/new")
    String begin(
            IntakeForm form,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            return "redirect:/jobs/%d/shape".formatted(board.begin(form, who));
        } catch (RefusedEditException | FormulaException | ValueException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(BoardQuery.EVERYTHING, List.of(refused.getMessage()), who, model);
        }
    }

    private BoardService.Brought bring(MultipartFile file, IntakeForm form, SignedIn who)
            throws IOException {
        try {
            if (arrivals.isLong(file.getSize())) {
                arrivals.bring(Uploads.of(file), form, who);
                return BoardService.Brought.NOTHING;
            }
            return BoardService.Brought.job(board.bring(file, form, who));
        } catch (DrawingException
                | RefusedEditException
                | FormulaException
                | ValueException refused) {
            return BoardService.Brought.problem(refused.getMessage());
        }
    }
}
