package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.Wires;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireSettings;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Values of the selected stops of a wire machine as fields. */
final class WireValues {

    private final List<WireSettings> settings;
    private final List<WireChoice> choices;
    private final EditError error;

    WireValues(JobResult result, List<Stop> stops, EditError error) {
        this.error = error;
        Map<String, WireSettings> known = Wires.plan(result).orElseThrow().settings();
        this.settings =
                stops.stream()
                        .map(s -> Stop.id(s.feature(), s.copy()))
                        .distinct()
                        .map(known::get)
                        .filter(Objects::nonNull)
                        .toList();
        this.choices = stops.stream().map(s -> choice(result, s)).toList();
    }

    private static WireChoice choice(JobResult result, Stop stop) {
        Map<String, WireChoice> set = result.document().choices(WIRE).stops();
        WireChoice all = set.getOrDefault(stop.feature(), WireChoice.NOTHING);
        return set.getOrDefault(Stop.id(stop.feature(), stop.copy()), WireChoice.NOTHING).over(all);
    }

    /** Of each feature and copy that is planned. */
    List<WireSettings> settings() {
        return settings;
    }

    /** What is set for each stop. */
    List<WireChoice> choices() {
        return choices;
    }

    /** A field with what stands against what was typed into it. */
    FieldView shown(FieldView field) {
        return error.in(field);
    }

    FieldView typed(
            String name,
            String label,
            String unit,
            ToDoubleFunction<WireSettings> value,
            Function<WireChoice, Typed> set) {
        FieldView view = field(name, label, unit, s -> Numbers.plain(value.applyAsDouble(s), 4));
        Typed typed = set.apply(choices.get(0));
        if (view.mixed() || view.hasError() || typed == null || typed.text().equals(view.text())) {
            return view;
        }
        return new FieldView(
                name,
                label,
                typed.text(),
                view.text(),
                unit,
                view.source(),
                view.here(),
                false,
                "");
    }

    FieldView field(String name, String label, String unit, Function<WireSettings, String> value) {
        String text = value.apply(settings.get(0));
        boolean mixed = settings.stream().anyMatch(s -> !value.apply(s).equals(text));
        Source from = settings.get(0).sources().getOrDefault(name, Source.RECIPE);
        boolean here = settings.stream().anyMatch(s -> s.sources().get(name) == Source.HERE);
        return shown(
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

    /** A value that is there only when a person set it. */
    FieldView words(String name, String label, String text) {
        boolean set = !text.isEmpty();
        return shown(
                new FieldView(name, label, text, "", "", set ? "here" : "none", set, false, ""));
    }
}
