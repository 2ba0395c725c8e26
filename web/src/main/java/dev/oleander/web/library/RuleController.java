package dev.oleander.web.library;

import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Prover;
import dev.oleander.proof.RuleHelp;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Pages about the rules of the proof. */
@Controller
class RuleController {

    private final Prover prover;

    RuleController(Prover prover) {
        this.prover = prover;
    }

    /** A rule with what can be read about it. */
    public record RulePage(String id, String title, RuleHelp help) {}

    @GetMapping("/rules")
    String all(@AuthenticationPrincipal SignedIn who, Model model) {
        return show(who, model, prover.rules().stream().map(RuleController::page).toList());
    }

    @GetMapping("/rules/{id}")
    String one(@PathVariable String id, @AuthenticationPrincipal SignedIn who, Model model) {
        RulePage page =
                prover.rules().stream()
                        .filter(r -> r.id().equals(id))
                        .map(RuleController::page)
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "The proof has no rule \"%s\".".formatted(id)));
        model.addAttribute("single", true);
        return show(who, model, List.of(page));
    }

    private static RulePage page(ProofRule rule) {
        return new RulePage(rule.id(), rule.title(), RuleHelp.of(rule.id()).orElseThrow());
    }

    private static String show(SignedIn who, Model model, List<RulePage> pages) {
        model.addAttribute("who", who);
        model.addAttribute("rules", pages);
        return "rules";
    }
}
