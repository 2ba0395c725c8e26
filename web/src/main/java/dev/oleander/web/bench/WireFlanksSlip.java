package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.FeatureNames;
import dev.oleander.plan.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import dev.oleander.work.wire.plan.CornerTaper;
import dev.oleander.work.wire.plan.Matching;
import dev.oleander.work.wire.plan.TaperChoice;
import dev.oleander.work.wire.plan.UpperChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** How the flanks of the selected stops lean, and another contour above. */
public final class WireFlanksSlip {

    private static final int MOST_ELEMENTS = 60;

    private final JobResult result;
    private final Stop first;
    private final WireValues values;

    WireFlanksSlip(JobResult result, Stop first, WireValues values) {
        this.result = result;
        this.first = first;
        this.values = values;
    }

    public FieldView angle() {
        return values.typed(
                "angle", "Taper", "°", s -> s.taper().usualAngle(), c -> c.taper().angle());
    }

    public boolean isLeaning() {
        return values.settings().stream().anyMatch(s -> s.taper().leans());
    }

    public FieldView corners() {
        return values.field(
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
        FieldView land =
                values.field(
                        "land",
                        "Land",
                        "mm",
                        s -> s.taper().land() == null ? "" : s.taper().land().text());
        return land.text().isEmpty() && !land.mixed() ? land.from("none") : land;
    }

    public FieldView elements() {
        TaperChoice taper = values.choices().get(0).taper();
        String text =
                taper.elements().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> "%d: %s".formatted(e.getKey() + 1, e.getValue().text()))
                        .collect(Collectors.joining("; "));
        return values.words("elements", "Own angles", text);
    }

    public FieldView cornerOf() {
        TaperChoice taper = values.choices().get(0).taper();
        String text =
                taper.cornerOf().keySet().stream()
                        .sorted()
                        .map(i -> String.valueOf(i + 1))
                        .collect(Collectors.joining("; "));
        return values.words("cornerOf", "Same radius", text);
    }

    /** An element of the contour with its number. */
    public record Element(int number, String what, String angle) {}

    /**
     * Elements of the only selected contour; none when several are selected or it has very many.
     */
    public List<Element> contour() {
        Feature feature = result.reading().byId().get(first.feature());
        List<Segment> segments = feature.chain().segments();
        if (values.choices().size() != 1
                || segments.size() > MOST_ELEMENTS
                || values.settings().isEmpty()) {
            return List.of();
        }
        TaperChoice taper = values.settings().get(0).taper();
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

    public Optional<UpperChoice> upper() {
        return Optional.ofNullable(values.choices().get(0).upper());
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
        return values.shown(
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
        return values.words("lines", "Lines", text);
    }

    /** The lines for the table: distances along both contours, mm. */
    public String linesDrawn() {
        return upper().map(UpperChoice::lines).orElse(List.of()).stream()
                .map(l -> l.lower() + " " + l.upper())
                .collect(Collectors.joining(";"));
    }

    public FieldView upperStart() {
        Typed set = upper().map(UpperChoice::start).orElse(null);
        return values.shown(
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
}
