package dev.oleander.web.api;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.core.annotation.Order;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.NoHandlerFoundException;

/** Calls under /api that no method answers; pages keep their own. */
@ControllerAdvice
@Order(100)
class ApiRouteErrors {

    @ExceptionHandler
    ResponseEntity<ProblemDetail> method(
            HttpRequestMethodNotSupportedException wrong, HttpServletRequest request)
            throws HttpRequestMethodNotSupportedException {
        if (isApi(request)) {
            return ResponseEntity.status(wrong.getStatusCode())
                    .headers(wrong.getHeaders())
                    .body(wrong.getBody());
        }
        throw wrong;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> address(NoHandlerFoundException wrong, HttpServletRequest request)
            throws NoHandlerFoundException {
        if (isApi(request)) {
            ProblemDetail problem =
                    ProblemDetail.forStatusAndDetail(
                            wrong.getStatusCode(),
                            "There is no call %s.".formatted(request.getRequestURI()));
            return ResponseEntity.status(wrong.getStatusCode()).body(problem);
        }
        throw wrong;
    }

    private static boolean isApi(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/api/");
    }
}
