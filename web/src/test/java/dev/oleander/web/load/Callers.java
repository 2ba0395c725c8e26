package dev.oleander.web.load;

import java.util.function.BooleanSupplier;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Requests of threads that serve none. */
public final class Callers {

    private Callers() {}

    /** This thread works on a request from now on, whose caller leaves at some moment. */
    public static void leaveWhen(BooleanSupplier left) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setAttribute(Caller.ATTRIBUTE, new Caller(left));
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
    }
}
