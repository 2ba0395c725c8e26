package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page to sign in; in demo mode it shows the accounts there are. */
@Controller
class SignInController {

    private final OleanderSettings settings;

    SignInController(OleanderSettings settings) {
        this.settings = settings;
    }

    /**
     * @param to where the person wanted to go
     * @param wait seconds until another password is looked at
     */
    @GetMapping("/sign-in")
    String signIn(
            @RequestParam(required = false) String to,
            @RequestParam(required = false) Integer wait,
            Model model) {
        model.addAttribute("to", LocalPath.checked(to));
        model.addAttribute("wait", wait);
        model.addAttribute("demoAccounts", settings.demo() ? FirstAccounts.DEMO : List.of());
        return "sign-in";
    }
}
