package dev.oleander.web.page;

import dev.oleander.web.load.CallerLeftException;
import dev.oleander.web.load.EarlyAnswer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.apache.tomcat.util.http.fileupload.FileUploadException;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.multipart.MultipartException;

/**
 * Round everything, sessions and sign-in too: who waited in vain for a connection or a lock is told
 * to come again, a form that filters cannot read is told to be none, and who has left is told
 * nothing.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BusyFilter extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failed) {
            if (NestedExceptionUtils.getMostSpecificCause(failed) instanceof CallerLeftException) {
                logger.debug("nobody waits for " + request.getRequestURI());
                return;
            }
            if (isBrokenForm(failed)) {
                EarlyAnswer.write(
                        request,
                        response,
                        HttpServletResponse.SC_BAD_REQUEST,
                        "The form cannot be read; it was cut short or is none.");
                return;
            }
            if (!Busy.isCauseOf(failed)) {
                throw failed;
            }
            logger.warn("busy: " + request.getMethod() + " " + request.getRequestURI());
            Busy.answer(request, response);
        }
    }

    private static boolean isBrokenForm(Throwable failed) {
        Throwable cause = NestedExceptionUtils.getMostSpecificCause(failed);
        return cause instanceof InvalidParameterException
                || cause instanceof FileUploadException
                || failed instanceof MultipartException;
    }
}
