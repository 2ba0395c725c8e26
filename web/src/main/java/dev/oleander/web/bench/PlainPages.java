package dev.oleander.web.bench;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Form;
import dev.oleander.value.Value;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A kind of work as its table of values says it: all that a kind without pages of its own needs.
 */
final class PlainPages<C extends Choices<C, S>, S extends Choice<S>> implements WorkPages {

    private final Work<C, S> kind;

    PlainPages(Work<C, S> kind) {
        this.kind = kind;
    }

    @Override
    public Work<?, ?> kind() {
        return kind;
    }

    @Override
    public String template() {
        return "work/plain";
    }

    @Override
    public String thickness() {
        return "Thickness";
    }

    @Override
    public Set<String> withoutOnBed() {
        return Set.of("heldAt", "commonLines");
    }

    @Override
    public Optional<Object> scene(JobResult result) {
        return Optional.empty();
    }

    @Override
    public List<SlipSection> ofStops(JobResult result, List<Stop> stops, EditError error) {
        Fields<S> fields = Fields.ofStops(kind, result, stops, error);
        return List.of(new SlipSection("How it is done", rows(kind.stopValues(), fields)));
    }

    @Override
    public List<SlipSection> ofJob(JobResult result, EditError error) {
        List<SlipRow> rows =
                new ArrayList<>(rows(kind.values(), Fields.ofJob(kind, result, error)));
        if (kind.orders().size() > 1) {
            rows.add(new SlipRow.Order());
        }
        return rows.isEmpty() ? List.of() : List.of(new SlipSection("How it is done", rows));
    }

    private static <T> List<SlipRow> rows(List<Value<T>> values, Fields<T> fields) {
        return values.stream()
                .map(
                        value ->
                                value.form() instanceof Form.Words<T>
                                        ? fields.listed(value.word())
                                        : fields.typed(value.word()))
                .toList();
    }
}
