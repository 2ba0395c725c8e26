package dev.oleander.web.load;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.http.HttpHeaders;

/**
 * Bounds the bodies of requests where they come in, whoever reads them: how large they are, how
 * slow, how many at once in all and from one address. A thread waits for each of them; without this
 * a few hundred clients that send a byte now and then keep everybody from being served.
 */
final class BodyLimits extends ValveBase {

    /**
     * What is bounded.
     *
     * @param form bytes of forms and JSON
     * @param text bytes of program texts
     * @param upload bytes of forms with files
     * @param grace seconds in which a body may come as slowly as it likes
     * @param rate bytes a second after that, on average
     * @param atOnce bodies that come in at the same time
     * @param fromOne those from one address
     */
    record Limits(
            long form, long text, long upload, double grace, double rate, int atOnce, int fromOne) {

        static final Limits USUAL = new Limits(2L << 20, 64L << 20, 96L << 20, 10, 4_000, 100, 40);
    }

    private static final String AGAIN = "3";

    private final Limits limits;
    private final Semaphore places;
    private final Map<String, AtomicInteger> byAddress = new ConcurrentHashMap<>();

    BodyLimits(Limits limits) {
        super(true);
        this.limits = limits;
        this.places = new Semaphore(limits.atOnce());
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        long most = most(request);
        if (request.getContentLengthLong() > most) {
            refuse(response, Response.SC_REQUEST_ENTITY_TOO_LARGE, tooLarge(most));
            return;
        }
        org.apache.coyote.Request coyote = request.getCoyoteRequest();
        InputBuffer original = coyote.getInputBuffer();
        Counted counted = new Counted(original, most, request.getRemoteAddr());
        coyote.setInputBuffer(counted);
        try {
            getNext().invoke(request, response);
        } catch (IOException | ServletException | RuntimeException failed) {
            if (counted.fault == null) {
                throw failed;
            }
        } finally {
            counted.done();
            // the same object serves the next request of the connection
            coyote.setInputBuffer(original);
        }
        if (counted.fault != null && !response.isCommitted()) {
            forget(request, response);
            refuse(response, counted.status, counted.fault);
        }
    }

    /** What the application made of the body that broke off. */
    private static void forget(Request request, Response response) {
        request.removeAttribute(RequestDispatcher.ERROR_EXCEPTION);
        response.setSuspended(false);
        response.resetError();
        response.reset();
    }

    private long most(Request request) {
        String type = String.valueOf(request.getContentType());
        if (type.startsWith("multipart/")) {
            return limits.upload();
        }
        return type.startsWith("text/plain") ? limits.text() : limits.form();
    }

    private static String tooLarge(long most) {
        return most < 1 << 20
                ? "The request is too large: %d bytes are the limit.".formatted(most)
                : "The request is too large: %d MB are the limit.".formatted(most >> 20);
    }

    /** Nothing more is read of the connection. */
    private static void refuse(Response response, int status, String sentence) throws IOException {
        response.setStatus(status);
        response.setHeader(HttpHeaders.CONNECTION, "close");
        if (status == Response.SC_SERVICE_UNAVAILABLE) {
            response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN);
        }
        EarlyAnswer.write(
                response.getRequest().getRequest(), response.getResponse(), status, sentence);
        response.finishResponse();
    }

    /** A body as it comes in. */
    private final class Counted implements InputBuffer {

        private final InputBuffer original;
        private final long most;
        private final String address;
        private long bytes;
        private long began;
        private boolean placed;
        private int status;
        private String fault;

        Counted(InputBuffer original, long most, String address) {
            this.original = original;
            this.most = most;
            this.address = address;
        }

        @Override
        public int doRead(ApplicationBufferHandler handler) throws IOException {
            begin();
            int read = original.doRead(handler);
            if (read < 0) {
                done();
                return read;
            }
            bytes += read;
            if (bytes > most) {
                throw failed(Response.SC_REQUEST_ENTITY_TOO_LARGE, tooLarge(most));
            }
            double seconds = (System.nanoTime() - began) / 1e9;
            if (seconds > limits.grace() + bytes / limits.rate()) {
                throw failed(
                        Response.SC_REQUEST_TIMEOUT,
                        "The request comes in too slowly: %d bytes in %.0f s."
                                .formatted(bytes, seconds));
            }
            return read;
        }

        @Override
        public int available() {
            return original.available();
        }

        private void begin() throws IOException {
            if (fault != null) {
                throw new IOException(fault);
            }
            if (began != 0) {
                return;
            }
            began = System.nanoTime();
            if (!places.tryAcquire()) {
                throw busy();
            }
            placed = true;
            if (byAddress.computeIfAbsent(address, a -> new AtomicInteger()).incrementAndGet()
                    > limits.fromOne()) {
                throw busy();
            }
        }

        private IOException busy() {
            return failed(
                    Response.SC_SERVICE_UNAVAILABLE,
                    "Too many requests come in at this moment. Try again in a few seconds.");
        }

        private IOException failed(int with, String sentence) {
            done();
            status = with;
            fault = sentence;
            return new IOException(sentence);
        }

        /** Gives its place free; more than once does nothing. */
        private void done() {
            if (placed) {
                placed = false;
                places.release();
                byAddress.computeIfPresent(
                        address, (a, count) -> count.decrementAndGet() <= 0 ? null : count);
            }
        }
    }
}
