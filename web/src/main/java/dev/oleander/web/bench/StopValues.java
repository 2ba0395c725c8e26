package dev.oleander.web.bench;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.JobResult;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Values of the selected stops as fields: what they have in common, or that they differ. */
final class StopValues {

    private final JobResult result;
    private final List<Stop> stops;
    private final EditError error;

    StopValues(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.stops = List.copyOf(stops);
        this.error = error;
    }

    FieldView typed(
            String name,
            String label,
            String unit,
            ToDoubleFunction<Stop> value,
            Function<StopChoice, Typed> set,
            String source) {
        Function<Stop, String> plain = s -> Numbers.plain(value.applyAsDouble(s), 3);
        Function<Stop, String> text =
                s ->
                        Optional.ofNullable(set.apply(choice(s)))
                                .map(Typed::text)
                                .orElse(plain.apply(s));
        FieldView view = field(name, label, unit, text, source);
        String meaning = view.mixed() ? "" : plain.apply(stops.get(0));
        boolean same = view.hasError() || meaning.equals(view.text());
        return new FieldView(
                view.name(),
                view.label(),
                view.text(),
                same ? "" : meaning,
                unit,
                view.source(),
                view.here(),
                view.mixed(),
                view.error());
    }

    /** mm that the machine's tabs usually leave standing. */
    double usualTab() {
        return result.machine().habits().tabs().length();
    }

    /** What is set for a stop here. */
    StopChoice here(Stop stop) {
        return result.document().choices(SHEET).of(stop.feature(), stop.copy());
    }

    /** What is set for a stop, here or by a recipe. */
    StopChoice choice(Stop stop) {
        PlanChoices plan = result.document().choices(SHEET);
        return plan.of(stop.feature(), stop.copy())
                .over(plan.recipeFor(result.reading().byId().get(stop.feature())));
    }

    FieldView field(
            String name, String label, String unit, Function<Stop, String> value, String source) {
        Stop first = stops.get(0);
        String text = value.apply(first);
        boolean mixed = stops.stream().anyMatch(s -> !value.apply(s).equals(text));
        boolean here = stops.stream().anyMatch(s -> s.sources().get(source) == Source.HERE);
        Source from = first.sources().getOrDefault(source, Source.RECIPE);
        return error.in(
                new FieldView(
                        name,
                        label,
                        mixed ? "" : text,
                        "",
                        unit,
                        mixed ? "differs" : from.word(),
                        here,
                        mixed,
                        ""));
    }
}
