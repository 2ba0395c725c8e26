package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.SheetStock;

/** What a used sheet costs when its rest is credited. */
final class Worth {

    private Worth() {}

    /**
     * @param right highest x of the parts on it, mm
     * @param top highest y
     */
    static double costOf(SheetStock stock, double right, double top, NestRules rules) {
        if (rules.remnant().isEmpty() || !stock.isPlain()) {
            return stock.price();
        }
        NestRules.RemnantRule rule = rules.remnant().get();
        Box box = stock.region().box();
        double beside = box.max().x() - right - rules.gap();
        double above = box.max().y() - top - rules.gap();
        double rest =
                Math.max(
                        area(beside, box.height(), rule.least()),
                        area(box.width(), above, rule.least()));
        return stock.price() * (1 - rule.share() * rest / (box.width() * box.height()));
    }

    private static double area(double width, double height, double least) {
        return Math.min(width, height) >= least ? width * height : 0;
    }
}
