package dev.oleander.web.estimate;

import dev.oleander.price.Estimate;
import dev.oleander.quantity.Numbers;
import java.util.List;

/** A line of the quote: what it is for, and the money of the lot. */
public record QuoteLine(String what, String note, String money) {

    static List<QuoteLine> of(Estimate e, boolean bySheet) {
        Estimate.Costs c = e.costs();
        return List.of(
                new QuoteLine(
                        "Material",
                        bySheet
                                ? "%d whole sheets".formatted(e.sheets())
                                : "by the area of the parts",
                        EstimateView.money(c.material(bySheet))),
                new QuoteLine(
                        "Cutting",
                        "%s a part".formatted(Numbers.duration(e.seconds())),
                        EstimateView.money(c.machine() + c.running())),
                new QuoteLine("Set-up", "once for the lot", EstimateView.money(c.setUp())));
    }
}
