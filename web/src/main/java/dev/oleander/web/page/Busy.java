package dev.oleander.web.page;

import dev.oleander.web.load.EarlyAnswer;
import dev.oleander.web.load.TooBusyException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLTransientException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpHeaders;
import org.springframework.transaction.CannotCreateTransactionException;

/** What is answered while there is more to do than can be done: come again in a moment. */
final class Busy {

    /** Seconds after which to come again. */
    private static final String AGAIN = "2";

    private static final String SENTENCE =
            "Too much is going on at this moment. Try again in a few seconds; look first whether what you wanted is there already.";

    private Busy() {}

    /** Whether an exception comes of waiting in vain for a connection or for a lock. */
    static boolean isCauseOf(Throwable thrown) {
        for (Throwable t = thrown; t != null; t = t.getCause()) {
            if (t instanceof TooBusyException
                    || t instanceof CannotCreateTransactionException
                    || t instanceof PessimisticLockingFailureException
                    || t instanceof QueryTimeoutException
                    || t instanceof SQLTransientException) {
                return true;
            }
            if (t.getCause() == t) {
                return false;
            }
        }
        return false;
    }

    /** Answers 503, as a page or as problem details. */
    static void answer(HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        if (response.isCommitted()) {
            return;
        }
        response.reset();
        response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN);
        EarlyAnswer.write(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, SENTENCE);
    }
}
