package dev.oleander.web.work.wire;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Word;
import dev.oleander.web.bench.FieldView;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Fold;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipRow.Tools;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireStop;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** How the flanks of the selected stops lean, and another contour above. */
final class WireFlanksSlip {

    private static final int MOST = 60;

    private final JobResult result;
    private final Stop first;
    private final boolean single;
    private final Fields<WireChoice> fields;

    WireFlanksSlip(JobResult result, List<Stop> stops, Fields<WireChoice> fields) {
        this.result = result;
        this.first = stops.get(0);
        this.single = stops.size() == 1;
        this.fields = fields;
    }

    List<SlipRow> rows() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.typed("angle"));
        if (stops().stream().anyMatch(s -> s.settings().taper().leans())) {
            rows.add(fields.segments("corners"));
            rows.add(fields.typed("land"));
        }
        List<Element> contour = contour();
        if (!contour.isEmpty()) {
            rows.add(new Own(WirePages.TEMPLATE, "elements", new Elements(elements(), contour)));
        }
        List<Word> uppers = uppers();
        if (single && !uppers.isEmpty()) {
            rows.add(above(uppers));
        }
        return rows;
    }

    private List<WireStop> stops() {
        return fields.made(WireStop.class);
    }

    // ---- single elements

    /** An element of the contour with its number. */
    public record Element(int number, String what, String angle) {}

    /** What is set of single elements, and which there are. */
    public record Elements(List<SlipRow> rows, List<Element> contour) {}

    private List<SlipRow> elements() {
        return List.of(
                fields.typed("elements"),
                fields.typed("cornerOf"),
                new Note("Angles as number: angle, as in 3: 1.5; 5: 0. Corners by their numbers."));
    }

    /**
     * Elements of the only selected contour; none when several are selected or it has very many.
     */
    private List<Element> contour() {
        Feature feature = result.reading().byId().get(first.feature());
        List<Segment> segments = feature.chain().segments();
        if (!single || segments.size() > MOST) {
            return List.of();
        }
        TaperChoice taper = stops().get(0).settings().taper();
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

    // ---- another contour above

    /** What the table needs to draw lines between both contours: distances along them, mm. */
    public record Joined(String upper, String lines) {}

    private Fold above(List<Word> uppers) {
        Optional<UpperChoice> set = Optional.ofNullable(fields.subjects().get(0).set().upper());
        List<SlipRow> rows = new ArrayList<>();
        FieldView upper = fields.field("upper");
        List<Word> words = new ArrayList<>();
        words.add(new Word("", "the same contour"));
        words.addAll(uppers);
        rows.add(new SlipRow.Listed(upper, words));
        set.ifPresent(
                above -> {
                    rows.add(new Own(WirePages.TEMPLATE, "joined", joined(above)));
                    rows.add(fields.segments("matching"));
                    rows.add(fields.typed("lines"));
                    rows.add(fields.typed("upperStart"));
                    rows.add(
                            new Note(
                                    "Lines as lower > upper, in mm along both contours, as in 12 > 15."));
                    rows.add(
                            new Tools(
                                    List.of(
                                            new Tools.Part("draw-lines", "Draw lines"),
                                            new Tools.Part("", " from one contour to the other")),
                                    false));
                });
        return new Fold("Another contour above", set.isPresent(), rows);
    }

    private static Joined joined(UpperChoice above) {
        String lines =
                above.lines().stream()
                        .map(l -> l.lower() + " " + l.upper())
                        .collect(Collectors.joining(";"));
        return new Joined(above.feature(), lines);
    }

    /** Contours that could be the upper one; none when there are very many. */
    private List<Word> uppers() {
        List<Word> all = new ArrayList<>();
        for (Feature feature : result.reading().cut().toList()) {
            if (feature.isClosed() && !feature.id().equals(first.feature())) {
                all.add(new Word(feature.id(), feature.id() + " · " + FeatureNames.of(feature)));
            }
        }
        return all.size() > MOST ? List.of() : all;
    }
}
