package dev.oleander.web.bench;

import dev.oleander.plan.Choices;
import dev.oleander.quantity.Named;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;

/**
 * The rule by which the stops of a job are in order.
 *
 * @param rule word of the present one
 * @param rules that can be chosen, with the present one when it is by hand
 */
public record OrderSlip(String rule, List<Choice> rules) {

    static OrderSlip of(JobResult result) {
        return of(result, result.kind());
    }

    private static <C extends Choices<C>> OrderSlip of(JobResult result, Work<C> kind) {
        List<Choice> rules = new ArrayList<>();
        kind.orders().forEach(o -> rules.add(choice(o)));
        Named present = kind.order(result.document().choices(kind));
        if (rules.stream().noneMatch(r -> r.value().equals(present.word()))) {
            rules.add(choice(present));
        }
        return new OrderSlip(present.word(), rules);
    }

    private static Choice choice(Named rule) {
        return new Choice(rule.word(), rule.label());
    }
}
