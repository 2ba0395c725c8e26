package dev.oleander.web.counter;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Counters of the shop over HTTP: what comes next, and where numbers are. */
@RestController
@RequestMapping("/api/counters")
class CounterApi {

    private static final int MOST_USES = 1_000;

    private final ShopCounters counters;

    CounterApi(ShopCounters counters) {
        this.counters = counters;
    }

    @Operation(summary = "The counters of the shop, each with the number it gives next")
    @GetMapping
    List<ShopCounters.Counter> all() {
        return counters.all();
    }

    @Operation(summary = "Which release took which numbers of a counter, the newest first")
    @GetMapping("/{name}")
    List<ShopCounters.Use> uses(@PathVariable String name) {
        return counters.uses(name, MOST_USES);
    }
}
