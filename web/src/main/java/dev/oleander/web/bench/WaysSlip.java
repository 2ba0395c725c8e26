package dev.oleander.web.bench;

import dev.oleander.machine.Compensation;
import dev.oleander.plan.CornerForm;
import dev.oleander.plan.Stop;
import dev.oleander.plan.TabChoice;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.bench.CutsSlip.Choice;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/** Tabs, corners and passes of the selected stops. */
public final class WaysSlip {

    private final List<Stop> stops;
    private final StopValues values;

    WaysSlip(List<Stop> stops, StopValues values) {
        this.stops = List.copyOf(stops);
        this.values = values;
    }

    /** Count, spacing and length; the count is that of the tabs there are. */
    public List<FieldView> tabs() {
        return List.of(
                values.typed(
                        "tabs.count",
                        "Tabs",
                        "",
                        s -> s.tabs().size(),
                        c -> c.tabs().count(),
                        "tabs"),
                values.field(
                        "tabs.spacing", "One every", "mm", tab(TabChoice::spacing), "tabSpacing"),
                values.typed(
                        "tabs.length",
                        "Length",
                        "mm",
                        this::uncut,
                        c -> c.tabs().length(),
                        "tabLength"));
    }

    private Function<Stop, String> tab(Function<TabChoice, Typed> value) {
        return s -> {
            Typed typed = value.apply(values.choice(s).tabs());
            return typed == null ? "" : typed.text();
        };
    }

    /** What a tab leaves standing: the gap less the kerf that eats into it from both ends. */
    private double uncut(Stop stop) {
        return stop.tabs().isEmpty()
                ? values.usualTab()
                : stop.tabs().get(0).to()
                        - stop.tabs().get(0).from()
                        - stop.row().orElseThrow().kerf();
    }

    /** How many tabs were put by hand, in words; empty when none were. */
    public String byHand() {
        int count = stops.stream().mapToInt(s -> values.choice(s).tabs().at().size()).sum();
        return count == 0 ? "" : count == 1 ? "1 put by hand" : count + " put by hand";
    }

    /** Whether tabs can be put by pointing: on one stop with a path. */
    public boolean isPointable() {
        return stops.size() == 1 && stops.get(0).path().isPresent();
    }

    public FieldView corners() {
        return values.field(
                "corners",
                "Corners",
                "",
                s -> {
                    CornerForm set = values.choice(s).corners();
                    return (set == null ? CornerForm.ROUND : set).word();
                },
                "corners");
    }

    public List<Choice> cornerForms() {
        return Arrays.stream(CornerForm.values()).map(c -> new Choice(c.word(), c.word())).toList();
    }

    /** Who moves the path half a kerf off the drawn line. */
    public FieldView compensation() {
        return values.field(
                "compensation", "Offset by", "", s -> s.compensation().word(), "compensation");
    }

    public List<Choice> compensations() {
        return List.of(
                new Choice(Compensation.PATH.word(), "program"),
                new Choice(Compensation.CONTROLLER.word(), "controller"),
                new Choice(Compensation.BOTH.word(), "both"));
    }

    public FieldView passes() {
        return values.typed(
                "passes",
                "Passes",
                "",
                s -> s.passes().stream().filter(p -> !p.film()).count(),
                c -> c.passes(),
                "passes");
    }

    public FieldView film() {
        return values.field(
                "film",
                "Burn film first",
                "",
                s -> s.passes().stream().anyMatch(p -> p.film()) ? "yes" : "no",
                "film");
    }

    public List<Choice> yesOrNo() {
        return List.of(new Choice("yes", "yes"), new Choice("no", "no"));
    }

    /** The feed near corners, in words; empty when it is not reduced. */
    public String cornerFeed() {
        return stops.get(0)
                .row()
                .map(r -> r.corner())
                .filter(c -> c.share() < 1)
                .map(
                        c ->
                                "Feed %s %% within %s of corners over %s°."
                                        .formatted(
                                                Numbers.plain(100 * c.share(), 0),
                                                Numbers.length(c.within()),
                                                Numbers.plain(c.over(), 0)))
                .orElse("");
    }
}
