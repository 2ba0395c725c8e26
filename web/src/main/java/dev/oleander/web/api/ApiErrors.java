package dev.oleander.web.api;

import dev.oleander.book.CutDataException;
import dev.oleander.dialect.DialectException;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.quantity.FormulaException;
import dev.oleander.value.ValueException;
import dev.oleander.web.account.AccountException;
import dev.oleander.web.api.ApiJson.WorkJson;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.release.ReleaseRefusedException;
import java.net.URI;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Says what is wrong with a call as problem details: what, where, which value, which limit. */
@RestControllerAdvice(basePackageClasses = ApiErrors.class, annotations = ApiOfWork.class)
class ApiErrors extends ResponseEntityExceptionHandler {

    @ExceptionHandler
    ProblemDetail drawing(DrawingException refused) {
        ProblemDetail problem = unprocessable("Drawing not readable", refused);
        problem.setProperty("file", refused.file());
        refused.line().ifPresent(line -> problem.setProperty("line", line));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail refusedEdit(RefusedEditException refused) {
        ProblemDetail problem = unprocessable("Not possible", refused);
        refused.stop().ifPresent(stop -> problem.setProperty("stop", stop.id()));
        refused.refusal()
                .ifPresent(
                        r -> {
                            problem.setProperty("value", r.value());
                            problem.setProperty("limit", r.limit());
                        });
        return problem;
    }

    @ExceptionHandler({
        DrawException.class,
        LetterException.class,
        PictureException.class,
        FormulaException.class,
        ValueException.class,
        CutDataException.class,
        DialectException.class,
        PlanException.class
    })
    ProblemDetail badValue(RuntimeException refused) {
        return unprocessable("Value not usable", refused);
    }

    private static ProblemDetail unprocessable(String title, RuntimeException refused) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(
                        HttpStatus.UNPROCESSABLE_CONTENT, refused.getMessage());
        problem.setTitle(title);
        return problem;
    }

    @ExceptionHandler
    ProblemDetail account(AccountException wrong) {
        return wrong.isMissing()
                ? ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, wrong.getMessage())
                : unprocessable("Value not usable", wrong);
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFoundException missing) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, missing.getMessage());
    }

    @ExceptionHandler
    ProblemDetail notReleased(ReleaseRefusedException refused) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, refused.getMessage());
        problem.setTitle("Not released");
        problem.setProperty("findings", ApiMapper.findings(refused.findings()));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail several(SeveralProgramsException several) {
        ProblemDetail problem =
                ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, several.getMessage());
        problem.setTitle("Several programs");
        problem.setProperty("programs", several.programs());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail noForm(MultipartException broken) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST,
                "The form with its files cannot be read; it was cut short or is none.");
    }

    /** No error: 202, and where to ask. */
    @ExceptionHandler
    ResponseEntity<WorkJson> notYet(NotYetException under) {
        return ResponseEntity.accepted()
                .location(URI.create(under.address()))
                .header(HttpHeaders.RETRY_AFTER, "1")
                .body(under.work());
    }

    /** Who said which step was seen hears that it is not the present one. */
    @ExceptionHandler
    ProblemDetail overtaken(StaleEditException overtaken, WebRequest request) {
        boolean asked = request.getHeader(HttpHeaders.IF_MATCH) != null;
        return ProblemDetail.forStatusAndDetail(
                asked ? HttpStatus.PRECONDITION_FAILED : HttpStatus.CONFLICT,
                overtaken.getMessage());
    }

    @ExceptionHandler
    ProblemDetail overtaken(OptimisticLockingFailureException overtaken) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, StaleEditException.AT_THE_SAME_MOMENT);
    }
}
