package dev.oleander.web.board;

import dev.oleander.drawing.DrawingException;
import dev.oleander.progress.CancelledException;
import dev.oleander.quantity.FormulaException;
import dev.oleander.value.ValueException;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.longwork.Works;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Drawings that take long to read become jobs as long work: who brought one sees how far it is, on
 * any node and after a restart, may stop it, or close the page.
 */
@Component
class Arrivals implements WorkKind {

    /** Files of a person that lie in the database and are no jobs. */
    private static final int MOST = 20;

    private final ArrivalTable table;
    private final BoardService board;
    private final AccountRepository accounts;
    private final Works works;
    private final long longFrom;

    Arrivals(
            ArrivalTable table,
            BoardService board,
            AccountRepository accounts,
            Works works,
            OleanderSettings settings) {
        this.table = table;
        this.board = board;
        this.accounts = accounts;
        this.works = works;
        this.longFrom = settings.longImport().toBytes();
    }

    /**
     * A drawing on its way.
     *
     * @param problem why it became no job; empty: it may yet
     */
    record Line(long id, String fileName, int percent, String doing, String problem) {

        public boolean isGoingOn() {
            return problem.isEmpty();
        }
    }

    /** Whether reading a file of so many bytes takes longer than a person likes to wait. */
    boolean isLong(long bytes) {
        return bytes >= longFrom;
    }

    @Override
    public String word() {
        return "import";
    }

    private static String subject(long id) {
        return "arrival " + id;
    }

    /**
     * Keeps a file and sees to it that it becomes a job.
     *
     * @throws RefusedEditException when too many of the same person are on their way
     */
    void bring(Upload file, IntakeForm form, SignedIn who) {
        if (table.of(who.id()).size() >= MOST) {
            throw new RefusedEditException(
                    "%d large drawings of yours are not read yet, or were dismissed by nobody. Bring %s when there are fewer."
                            .formatted(MOST, file.name()));
        }
        long id = table.keep(who.id(), file.name(), file.content(), form);
        want(id, who.id());
    }

    private WorkState want(long id, Long account) {
        return works.want(new Works.Wish(this, String.valueOf(id), subject(id), 1, account));
    }

    /** What somebody brought that is no job yet. */
    List<Line> of(SignedIn who) {
        return table.of(who.id()).stream().map(a -> line(a, want(a.id(), who.id()))).toList();
    }

    private static Line line(ArrivalTable.Line arrival, WorkState state) {
        String problem =
                switch (state.phase()) {
                    case WAITING, RUNNING, DONE -> state.soFar();
                    case STOPPED -> "It was not read to the end.";
                    case FAILED ->
                            "Reading it failed for a reason that is in the log of the server.";
                };
        int percent = (int) (100 * state.share());
        return new Line(arrival.id(), arrival.fileName(), percent, state.doing(), problem);
    }

    /**
     * Stops one that is being read, forgets one that is not; nothing happens to somebody else's.
     */
    void drop(long id, SignedIn who) {
        boolean own = table.of(who.id()).stream().anyMatch(a -> a.id() == id);
        if (own) {
            works.stop(subject(id));
            table.remove(id);
        }
    }

    /** The file is gone as soon as it is a job: whoever does it again after a death finds none. */
    @Override
    public void run(String key, WorkProgress progress) {
        long id = Long.parseLong(key);
        Optional<ArrivalTable.Arrival> found = table.find(id);
        if (found.isEmpty()) {
            return;
        }
        ArrivalTable.Arrival arrival = found.get();
        Account account = accounts.findById(arrival.account()).orElseThrow();
        Upload upload = new Upload(arrival.fileName(), arrival.content());
        try {
            board.bring(
                    upload,
                    arrival.form(),
                    SignedIn.of(account),
                    progress,
                    () -> requireThere(table.remove(id)));
        } catch (DrawingException
                | RefusedEditException
                | FormulaException
                | ValueException refused) {
            progress.keep(refused.getMessage());
        }
    }

    private static void requireThere(boolean there) {
        if (!there) {
            throw new CancelledException();
        }
    }
}
