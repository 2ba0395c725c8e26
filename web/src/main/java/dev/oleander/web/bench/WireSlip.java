package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.WirePass;
import dev.oleander.machine.WireRow;
import dev.oleander.plan.FeatureNames;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.CornerTaper;
import dev.oleander.plan.wire.HoldStop;
import dev.oleander.plan.wire.Matching;
import dev.oleander.plan.wire.SlugHandling;
import dev.oleander.plan.wire.TaperChoice;
import dev.oleander.plan.wire.UpperChoice;
import dev.oleander.plan.wire.WireChoice;
import dev.oleander.plan.wire.WireKind;
import dev.oleander.plan.wire.WireLead;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.plan.wire.WireSettings;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** The values of the selected stops of a wire machine, each with where it comes from. */
public final class WireSlip {

    private static final int MOST_ELEMENTS = 60;

    private static final List<Choice> YES_OR_NO =
            List.of(new Choice("true", "yes"), new Choice("false", "no"));

    private final JobResult result;
    private final WirePlan plan;
    private final Stop first;
    private final List<WireSettings> settings;
    private final List<WireChoice> choices;
    private final EditError error;

    WireSlip(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.plan = result.wire().orElseThrow();
        this.first = stops.get(0);
        this.error = error;
        List<String> subjects =
                stops.stream().map(s -> Stop.id(s.feature(), s.copy())).distinct().toList();
        this.settings = subjects.stream().map(plan.settings()::get).filter(s -> s != null).toList();
        this.choices = stops.stream().map(s -> choice(result, s)).toList();
    }

    private static WireChoice choice(JobResult result, Stop stop) {
        Map<String, WireChoice> set = result.document().wire().stops();
        WireChoice all = set.getOrDefault(stop.feature(), WireChoice.NOTHING);
        return set.getOrDefault(Stop.id(stop.feature(), stop.copy()), WireChoice.NOTHING).over(all);
    }

    /** Whether there is anything to show: a refused stop has only what was set for it. */
    public boolean isPlanned() {
        return !settings.isEmpty();
    }

    public String kind() {
        return settings.stream()
                .map(s -> s.kind().label())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    // ---- groups of values

    public FieldView finish() {
        return field("finish", "Finish", "", s -> s.row().finish());
    }

    public List<String> finishes() {
        WireRow row = settings.get(0).row();
        return plan.task().book().finishes(row.wire(), row.material());
    }

    public List<FieldView> passes() {
        return List.of(typed("passes", "Passes", "", s -> s.passes(), c -> c.passes().count()));
    }

    public FieldView alternate() {
        return field("alternate", "Skims", "", s -> String.valueOf(s.alternate()));
    }

    public List<Choice> alternates() {
        return List.of(new Choice("true", "to and fro"), new Choice("false", "one way"));
    }

    public FieldView compensation() {
        return field("compensation", "Offset", "", s -> s.compensation().word());
    }

    public List<Choice> compensations() {
        return List.of(
                new Choice(Compensation.CONTROLLER.word(), "controller"),
                new Choice(Compensation.PATH.word(), "path"));
    }

    public FieldView direction() {
        return field(
                "direction",
                "Direction",
                "",
                s -> s.anticlockwise() ? "anticlockwise" : "clockwise");
    }

    public List<Choice> directions() {
        return List.of(new Choice("clockwise", "clockwise"), new Choice("anticlockwise", "anti"));
    }

    public FieldView lead() {
        return field("lead", "Lead", "", s -> s.lead().word());
    }

    public List<Choice> leads() {
        return List.of(
                new Choice(WireLead.DIRECT.word(), "straight"),
                new Choice(WireLead.SQUARE.word(), "square"),
                new Choice(WireLead.ARC.word(), "arc"));
    }

    public List<FieldView> entry() {
        List<FieldView> fields = new ArrayList<>();
        if (settings.stream().anyMatch(s -> s.lead() != WireLead.DIRECT)) {
            fields.add(
                    typed(
                            "leadLength",
                            "Lead length",
                            "mm",
                            WireSettings::leadLength,
                            c -> c.entry().leadLength()));
        }
        fields.add(start());
        fields.add(
                typed("overlap", "Overlap", "mm", WireSettings::overlap, c -> c.entry().overlap()));
        fields.add(
                typed(
                        "backOff",
                        "Off between",
                        "mm",
                        WireSettings::backOff,
                        c -> c.entry().backOff()));
        return fields;
    }

    private FieldView start() {
        Typed set = choices.get(0).entry().start();
        return error.in(
                new FieldView(
                        "start",
                        "Starts at",
                        set == null ? "" : set.text(),
                        "",
                        "mm",
                        set == null ? "found" : "here",
                        set != null,
                        false,
                        ""));
    }

    /** Where the wire is threaded, in words; empty when it is found. */
    public boolean isHoleSet() {
        return choices.stream().anyMatch(c -> c.entry().hole() != null);
    }

    public String hole() {
        return plan.holes().stream()
                .filter(h -> h.stop().equals(Stop.id(first.feature(), first.copy())))
                .findFirst()
                .map(
                        h ->
                                "%s, X %s Y %s"
                                        .formatted(
                                                h.given().label(),
                                                Numbers.plain(h.at().x(), 2),
                                                Numbers.plain(h.at().y(), 2)))
                .orElse("none");
    }

    public FieldView slug() {
        return field("slug", "When it is free", "", s -> s.slug().word());
    }

    public List<Choice> slugs() {
        boolean closed = settings.stream().noneMatch(s -> s.kind() == WireKind.OPEN);
        boolean opening = settings.stream().allMatch(s -> s.kind() == WireKind.OPENING);
        return Arrays.stream(SlugHandling.values())
                .filter(s -> closed || s == SlugHandling.DROP || s == SlugHandling.STOP_BEFORE)
                .filter(s -> opening || s != SlugHandling.CORELESS)
                .map(s -> new Choice(s.word(), s.label()))
                .toList();
    }

    public boolean isHeld() {
        return settings.stream().anyMatch(s -> s.slug().holds());
    }

    public List<FieldView> holds() {
        List<FieldView> fields = new ArrayList<>();
        boolean width =
                settings.stream()
                        .anyMatch(s -> s.slug().holds() || s.slug() == SlugHandling.STOP_BEFORE);
        if (width) {
            fields.add(
                    typed(
                            "hold",
                            isHeld() ? "Hold" : "Last",
                            "mm",
                            WireSettings::hold,
                            c -> c.slug().hold()));
        }
        if (settings.stream().anyMatch(s -> s.slug() == SlugHandling.HOLDS)) {
            fields.add(typed("holds", "Holds", "", WireSettings::holds, c -> c.slug().count()));
        }
        if (settings.stream().anyMatch(s -> s.slug() == SlugHandling.CORELESS)) {
            fields.add(
                    typed("step", "Step of rings", "", WireSettings::step, c -> c.slug().step()));
        }
        return fields;
    }

    /** How many holds were put by pointing; empty when none. */
    public String holdsByHand() {
        List<Typed> at = choices.get(0).slug().at();
        return at == null || at.isEmpty() ? "" : at.size() + " put by hand";
    }

    public boolean mayWait() {
        return settings.stream()
                .anyMatch(s -> s.slug().holds() || s.slug() == SlugHandling.STOP_BEFORE);
    }

    public FieldView holdStop() {
        return field("holdStop", "Machine waits", "", s -> s.holdStop().word());
    }

    public List<Choice> holdStops() {
        return List.of(
                new Choice(HoldStop.ALWAYS.word(), "always"),
                new Choice(HoldStop.OPTIONAL.word(), "if asked"),
                new Choice(HoldStop.NEVER.word(), "never"));
    }

    public FieldView reversed() {
        return field("reversed", "Cut-off", "", s -> String.valueOf(s.reversed()));
    }

    public List<Choice> reversedWays() {
        return List.of(new Choice("true", "backwards"), new Choice("false", "forwards"));
    }

    public FieldView offSkims() {
        return field("offSkims", "Skims after it", "", s -> String.valueOf(s.offSkims()));
    }

    public List<Choice> yesOrNo() {
        return YES_OR_NO;
    }

    // ---- flanks

    public FieldView angle() {
        return typed("angle", "Taper", "°", s -> s.taper().usualAngle(), c -> c.taper().angle());
    }

    public boolean isLeaning() {
        return settings.stream().anyMatch(s -> s.taper().leans());
    }

    public FieldView corners() {
        return field(
                "corners",
                "Corners",
                "",
                s -> Optional.ofNullable(s.taper().corners()).orElse(CornerTaper.CONICAL).word());
    }

    public List<Choice> cornerTapers() {
        return List.of(
                new Choice(CornerTaper.CONICAL.word(), "conical"),
                new Choice(CornerTaper.CYLINDRICAL.word(), "same radius"));
    }

    public FieldView land() {
        Typed set = choices.get(0).taper().land();
        return error.in(
                new FieldView(
                        "land",
                        "Land",
                        set == null ? "" : set.text(),
                        "",
                        "mm",
                        set == null ? "none" : "here",
                        set != null,
                        false,
                        ""));
    }

    public FieldView elements() {
        TaperChoice taper = choices.get(0).taper();
        String text =
                taper.elements().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> "%d: %s".formatted(e.getKey() + 1, e.getValue().text()))
                        .collect(Collectors.joining("; "));
        return words("elements", "Own angles", text);
    }

    public FieldView cornerOf() {
        TaperChoice taper = choices.get(0).taper();
        String text =
                taper.cornerOf().keySet().stream()
                        .sorted()
                        .map(i -> String.valueOf(i + 1))
                        .collect(Collectors.joining("; "));
        return words("cornerOf", "Same radius", text);
    }

    private FieldView words(String name, String label, String text) {
        boolean set = !text.isEmpty();
        return error.in(
                new FieldView(name, label, text, "", "", set ? "here" : "none", set, false, ""));
    }

    /** An element of the contour with its number. */
    public record Element(int number, String what, String angle) {}

    /**
     * Elements of the only selected contour; none when several are selected or it has very many.
     */
    public List<Element> contour() {
        Feature feature = result.reading().byId().get(first.feature());
        List<Segment> segments = feature.chain().segments();
        if (choices.size() != 1 || segments.size() > MOST_ELEMENTS || settings.isEmpty()) {
            return List.of();
        }
        TaperChoice taper = settings.get(0).taper();
        List<Element> elements = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            String what =
                    segments.get(i) instanceof Arc arc
                            ? "arc R" + Numbers.plain(arc.radius(), 3)
                            : "line " + Numbers.plain(segments.get(i).length(), 3);
            elements.add(new Element(i + 1, what, Numbers.plain(taper.angle(i), 3) + "°"));
        }
        return elements;
    }

    // ---- upper contour

    public Optional<UpperChoice> upper() {
        return Optional.ofNullable(choices.get(0).upper());
    }

    /** Contours that could be the upper one. */
    public List<Choice> uppers() {
        List<Choice> all = new ArrayList<>();
        for (Feature feature : result.reading().cut().toList()) {
            if (feature.isClosed() && !feature.id().equals(first.feature())) {
                all.add(new Choice(feature.id(), feature.id() + " · " + FeatureNames.of(feature)));
            }
        }
        return all.size() > MOST_ELEMENTS ? List.of() : all;
    }

    public FieldView matching() {
        String word = upper().map(u -> u.matching().word()).orElse("");
        return error.in(
                new FieldView("matching", "Joined", word, "", "", "here", false, false, ""));
    }

    public List<Choice> matchings() {
        return List.of(
                new Choice(Matching.CORNERS.word(), "corners"),
                new Choice(Matching.LENGTH.word(), "length"),
                new Choice(Matching.LINES.word(), "lines"));
    }

    public FieldView lines() {
        String text =
                upper().map(UpperChoice::lines).orElse(List.of()).stream()
                        .map(
                                l ->
                                        "%s > %s"
                                                .formatted(
                                                        Numbers.plain(l.lower(), 3),
                                                        Numbers.plain(l.upper(), 3)))
                        .collect(Collectors.joining("; "));
        return words("lines", "Lines", text);
    }

    public FieldView upperStart() {
        Typed set = upper().map(UpperChoice::start).orElse(null);
        return error.in(
                new FieldView(
                        "upperStart",
                        "Upper start",
                        set == null ? "" : set.text(),
                        "",
                        "mm",
                        set == null ? "nearest" : "here",
                        set != null,
                        false,
                        ""));
    }

    // ---- data

    /** A pass as the book has it. */
    public record PassRow(
            int number, String offset, String register, String condition, String feed) {}

    public List<PassRow> data() {
        WireSettings one = settings.get(0);
        WireRow row = one.row();
        List<PassRow> rows = new ArrayList<>();
        for (int pass = 1; pass <= one.passes(); pass++) {
            WirePass data = row.passes().get(pass - 1);
            rows.add(
                    new PassRow(
                            pass,
                            Numbers.plain(row.offset(pass), 4),
                            "D" + data.register(),
                            "C" + data.condition(),
                            Numbers.plain(row.feed(pass), 2)));
        }
        return rows;
    }

    public String label() {
        WireRow row = settings.get(0).row();
        return row.label() + (row.interpolated() ? ", between two heights" : "");
    }

    public boolean hasOneRow() {
        return settings.stream().map(WireSettings::row).distinct().count() == 1;
    }

    // ---- fields

    private FieldView typed(
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

    private FieldView field(
            String name, String label, String unit, Function<WireSettings, String> value) {
        String text = value.apply(settings.get(0));
        boolean mixed = settings.stream().anyMatch(s -> !value.apply(s).equals(text));
        Source from = settings.get(0).sources().getOrDefault(name, Source.RECIPE);
        boolean here = settings.stream().anyMatch(s -> s.sources().get(name) == Source.HERE);
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

    static <E extends Enum<E> & Worded> List<Choice> choices(
            Class<E> all, Function<E, String> label) {
        return Arrays.stream(all.getEnumConstants())
                .map(e -> new Choice(e.word(), label.apply(e)))
                .toList();
    }
}
