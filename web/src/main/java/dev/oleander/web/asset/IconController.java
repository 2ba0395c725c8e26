package dev.oleander.web.asset;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Browsers ask for this address wherever a page names no icon of its own. */
@Controller
class IconController {

    @GetMapping("/favicon.ico")
    String icon() {
        return "redirect:/favicon.svg";
    }
}
