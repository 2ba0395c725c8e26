package dev.oleander.web.product;

import dev.oleander.book.BookRow;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiOfWork;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Rules for the features of panels over HTTP. */
@ApiOfWork
@RequestMapping("/api/machines/{machine}/rules")
class PanelRulesApi {

    private final PanelRules rules;

    PanelRulesApi(PanelRules rules) {
        this.rules = rules;
    }

    @GetMapping
    List<? extends BookRow> list(@PathVariable String machine) {
        return rules.of(machine);
    }

    /** All of them together: those that are left out are taken away. */
    @PutMapping
    List<? extends BookRow> replace(
            @PathVariable String machine,
            @RequestParam(defaultValue = "over HTTP") String note,
            @RequestBody List<Map<String, Object>> wanted,
            @AuthenticationPrincipal SignedIn who) {
        rules.replace(machine, wanted, note, who);
        return rules.of(machine);
    }

    /** What would change; nothing does. */
    @PostMapping("/trial")
    List<PanelRules.Changed> trial(
            @PathVariable String machine, @RequestBody List<Map<String, Object>> wanted) {
        return rules.trial(machine, wanted);
    }
}
