package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page to sign in; in demo mode it shows the accounts there are. */
@Controller
class SignInController {

    private final OleanderSettings settings;

    SignInController(OleanderSettings settings) {
        this.settings = settings;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        model.addAttribute("demoAccounts", settings.demo() ? FirstAccounts.DEMO : List.of());
        return "sign-in";
    }
}
