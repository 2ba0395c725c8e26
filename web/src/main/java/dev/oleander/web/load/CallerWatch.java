package dev.oleander.web.load;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.http.HttpHeaders;

/** Lets whoever works on a request see whether its connection was closed meanwhile. */
final class CallerWatch extends ValveBase {

    /** What the connector says is there to be read when the connection was closed. */
    private static final int CLOSED = 1;

    CallerWatch() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        request.setAttribute(Caller.ATTRIBUTE, new Caller(() -> hasLeft(request)));
        getNext().invoke(request, response);
    }

    /**
     * Looks without waiting for what comes after the request. That is nothing while its caller
     * waits; the connector says one byte when the other side has closed, so that whoever reads it
     * meets the fault. A next request that was sent without waiting for this answer is longer, and
     * stays in the connector's buffer until its turn comes.
     */
    private static boolean hasLeft(Request request) {
        org.apache.coyote.Request coyote = request.getCoyoteRequest();
        // part of this request may be there as well, then nothing can be said
        boolean read = coyote.getContentLengthLong() <= coyote.getBytesRead();
        if (!read || coyote.getHeader(HttpHeaders.TRANSFER_ENCODING) != null) {
            return false;
        }
        coyote.action(ActionCode.AVAILABLE, Boolean.TRUE);
        return coyote.getAvailable() == CLOSED;
    }
}
