package dev.oleander.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLTransientException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.transaction.CannotCreateTransactionException;

/** What is answered while there is more to do than can be done: come again in a moment. */
public final class Busy {

    /** Seconds after which to come again. */
    private static final String AGAIN = "2";

    private static final String SENTENCE =
            "Too much is going on at this moment. Try again in a few seconds; look first whether what you wanted is there already.";

    private Busy() {}

    /** Whether an exception comes of waiting in vain for a connection or for a lock. */
    public static boolean isCauseOf(Throwable thrown) {
        for (Throwable t = thrown; t != null; t = t.getCause()) {
            if (t instanceof CannotCreateTransactionException
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
    public static void answer(HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        if (response.isCommitted()) {
            return;
        }
        response.reset();
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN);
        boolean call = request.getRequestURI().startsWith("/api/");
        response.setContentType(
                call ? MediaType.APPLICATION_PROBLEM_JSON_VALUE : "text/html;charset=UTF-8");
        String body =
                call
                        ? "{\"status\":503,\"title\":\"Busy\",\"detail\":\"%s\"}"
                                .formatted(SENTENCE)
                        : "<!DOCTYPE html><html lang=\"en\"><head><title>Oleander</title></head><body><p role=\"alert\">%s</p></body></html>"
                                .formatted(SENTENCE);
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }
}
