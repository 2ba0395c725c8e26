package dev.oleander.web.care;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.release.Verifier;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** Whether all releases of the shop are as they were made. */
@Controller
@RequestMapping("/seals")
class SealsController {

    private final Verifier verifier;

    SealsController(Verifier verifier) {
        this.verifier = verifier;
    }

    @GetMapping
    String seals(@AuthenticationPrincipal SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("count", verifier.count());
        return "seals";
    }

    /** Computes all of them; takes long where there are many. */
    @GetMapping("/verified")
    String verified(Model model) {
        model.addAttribute("shop", verifier.shop());
        return "seals :: verified";
    }
}
