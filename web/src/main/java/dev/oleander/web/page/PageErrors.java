package dev.oleander.web.page;

import dev.oleander.dialect.DialectException;
import dev.oleander.drawing.DrawingException;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;

/** Pages for addresses that lead nowhere and uploads that are too large. */
@ControllerAdvice(annotations = Controller.class)
class PageErrors {

    @ExceptionHandler
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notFound(NotFoundException missing, Model model) {
        return page(model, 404, missing.getMessage());
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String notANumber(MethodArgumentTypeMismatchException wrong, Model model) {
        return page(
                model,
                400,
                "\"%s\" cannot be read as %s.".formatted(wrong.getValue(), wrong.getName()));
    }

    @ExceptionHandler({
        PlanException.class,
        DialectException.class,
        DrawingException.class,
        RefusedEditException.class
    })
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    String notPossible(RuntimeException refused, Model model) {
        return page(model, 422, refused.getMessage());
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONFLICT)
    String changedMeanwhile(StaleEditException stale, Model model) {
        return page(model, 409, stale.getMessage());
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(MaxUploadSizeExceededException large, Model model) {
        return page(
                model, 413, "The file is too large: 64 MB each and 96 MB together are the limit.");
    }

    @ExceptionHandler
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String noForm(MultipartException broken, Model model) {
        return page(
                model, 400, "The form with its files cannot be read; it was cut short or is none.");
    }

    private static String page(Model model, int status, String sentence) {
        model.addAttribute("status", status);
        model.addAttribute("sentence", sentence);
        return "error";
    }
}
