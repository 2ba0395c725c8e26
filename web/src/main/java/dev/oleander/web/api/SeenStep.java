package dev.oleander.web.api;

import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.RefusedEditException;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/**
 * Which step of a job a call was made from, and which one it came to: the entity tag of a job is
 * the number of its present step (RFC 9110, 13.1.1).
 */
@Hidden
public record SeenStep(Integer number, HttpServletResponse response) {

    /** Gives the tag of a job to the answer. */
    public JobView tell(JobView job) {
        response.setHeader(HttpHeaders.ETAG, "\"%d\"".formatted(job.step()));
        return job;
    }

    /** Reads it from {@code If-Match}; a call without it is made on what is there. */
    @Component
    static final class Resolver implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == SeenStep.class;
        }

        @Override
        public SeenStep resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binders) {
            String tag =
                    request.getNativeRequest(HttpServletRequest.class)
                            .getHeader(HttpHeaders.IF_MATCH);
            return new SeenStep(number(tag), request.getNativeResponse(HttpServletResponse.class));
        }

        private static Integer number(String tag) {
            if (tag == null || tag.equals("*")) {
                return null;
            }
            if (!tag.matches("\"\\d{1,9}\"")) {
                throw new RefusedEditException(
                        "If-Match is %s; it must be the ETag of the job: \"12\".".formatted(tag));
            }
            return Integer.valueOf(tag.substring(1, tag.length() - 1));
        }
    }
}
