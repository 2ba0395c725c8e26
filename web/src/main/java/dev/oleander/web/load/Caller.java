package dev.oleander.web.load;

import java.util.function.BooleanSupplier;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Who waits for the answer of a request. Only the thread that works on the request may ask whether
 * they still do.
 */
public final class Caller {

    /** Of work that no request asked for. */
    static final Caller NOBODY = new Caller(() -> false);

    static final String ATTRIBUTE = Caller.class.getName();

    private final BooleanSupplier left;

    Caller(BooleanSupplier left) {
        this.left = left;
    }

    /** Of the request that this thread works on; one who never leaves when it works on none. */
    public static Caller present() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        Object caller =
                request == null
                        ? null
                        : request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return caller instanceof Caller known ? known : NOBODY;
    }

    /**
     * @throws CallerLeftException when the connection was closed
     */
    public void requireThere() {
        if (left.getAsBoolean()) {
            throw new CallerLeftException();
        }
    }
}
