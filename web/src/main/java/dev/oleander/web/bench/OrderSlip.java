package dev.oleander.web.bench;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.quantity.Named;
import dev.oleander.value.Word;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;

/**
 * The rule by which the stops of a job are in order.
 *
 * @param rule word of the present one
 * @param rules that can be chosen, with the present one when it is by hand
 */
public record OrderSlip(String rule, List<Word> rules) {

    static OrderSlip of(JobResult result) {
        return of(result, result.kind());
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> OrderSlip of(
            JobResult result, Work<C, S> kind) {
        List<Word> rules = new ArrayList<>();
        kind.orders().forEach(o -> rules.add(Word.of(o)));
        Named present = kind.order(result.document().choices(kind));
        if (rules.stream().noneMatch(r -> r.value().equals(present.word()))) {
            rules.add(Word.of(present));
        }
        return new OrderSlip(present.word(), rules);
    }
}
