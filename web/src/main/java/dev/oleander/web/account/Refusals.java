package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;

/** How pages about accounts tell what cannot be: in place, with a status of its own. */
final class Refusals {

    private Refusals() {}

    static void tell(AccountException wrong, HttpServletResponse response, Model model) {
        HttpStatus status =
                wrong.isMissing() ? HttpStatus.NOT_FOUND : HttpStatus.UNPROCESSABLE_CONTENT;
        response.setStatus(status.value());
        model.addAttribute("error", wrong);
    }
}
