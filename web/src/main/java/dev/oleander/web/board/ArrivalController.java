package dev.oleander.web.board;

import dev.oleander.web.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Large drawings on their way to the board. */
@Controller
class ArrivalController {

    private final Arrivals arrivals;

    ArrivalController(Arrivals arrivals) {
        this.arrivals = arrivals;
    }

    /** How far they are: a part of the board. */
    @GetMapping("/arrivals")
    String list(@AuthenticationPrincipal SignedIn who, Model model) {
        model.addAttribute("arrivals", arrivals.of(who));
        return "arrivals :: list";
    }

    @PostMapping("/arrivals/{id}/drop")
    String drop(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
        arrivals.drop(id, who);
        return "redirect:/";
    }
}
