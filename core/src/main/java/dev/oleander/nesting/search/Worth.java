package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.Rest;
import dev.oleander.nesting.SheetStock;

/** What a used sheet costs when its rest is credited. */
final class Worth {

    private Worth() {}

    /**
     * @param right highest x of the parts on it, mm
     * @param top highest y
     */
    static double costOf(SheetStock stock, double right, double top, NestRules rules) {
        Box box = stock.region().box();
        double rest =
                Rest.beyond(stock, right, top, rules).map(r -> r.width() * r.height()).orElse(0.0);
        double share = rules.remnant().map(NestRules.RemnantRule::share).orElse(0.0);
        return stock.price() * (1 - share * rest / (box.width() * box.height()));
    }
}
