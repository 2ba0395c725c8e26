package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Form;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What the drawing was read as, in groups: parts with what lies in them, then what belongs to none.
 */
final class ReadingGroups {

    /** One chain of the list on the left. */
    public record FeatureRow(
            String id, String name, String note, String purpose, boolean selected) {}

    /**
     * Chains that belong together: a part with its openings, holes of one diameter as one entry.
     */
    public record Group(String title, String note, List<FeatureRow> rows) {

        public boolean isSelected() {
            return rows.stream().anyMatch(FeatureRow::selected);
        }
    }

    private final Reading reading;
    private final List<String> selected;

    ReadingGroups(Reading reading, List<String> selected) {
        this.reading = reading;
        this.selected = selected;
    }

    /** The list on the left: parts with what lies in them, then what belongs to no part. */
    public List<Group> groups() {
        List<Group> groups = new ArrayList<>();
        Map<String, Feature> byId = reading.byId();
        for (Part part : reading.parts()) {
            List<FeatureRow> rows = new ArrayList<>();
            rows.add(row(byId.get(part.outline()), "Outline"));
            part.openings().forEach(id -> rows.add(row(byId.get(id), opening(byId.get(id)))));
            groups.add(
                    new Group(
                            PartRef.label(part.id()),
                            Numbers.grouped(part.region().area()) + " mm²",
                            rows));
        }
        add(groups, "Marked", Purpose.MARK);
        add(groups, "Fold lines", Purpose.FOLD);
        addStartHoles(groups, byId);
        List<FeatureRow> open =
                reading.cut().filter(f -> !f.isClosed()).map(f -> row(f, "Open line")).toList();
        if (!open.isEmpty()) {
            groups.add(new Group("Open lines", open.size() + " to decide", open));
        }
        add(groups, "Ignored", Purpose.IGNORE);
        return groups;
    }

    /** Start holes say which contour they are for. */
    private void addStartHoles(List<Group> groups, Map<String, Feature> byId) {
        List<FeatureRow> rows = new ArrayList<>();
        for (Feature hole : reading.features()) {
            if (hole.purpose() == Purpose.START) {
                String note =
                        hole.place()
                                .startOf()
                                .map(byId::get)
                                .map(f -> "for " + (isOutline(f) ? "outline" : opening(f)))
                                .orElse("for nothing");
                rows.add(row(hole, startHole(hole), note));
            }
        }
        if (!rows.isEmpty()) {
            groups.add(new Group("Start holes", String.valueOf(rows.size()), rows));
        }
    }

    private static boolean isOutline(Feature feature) {
        return feature.kind() == Feature.Kind.OUTLINE;
    }

    static String startHole(Feature feature) {
        return "Start hole " + feature.form().map(Form::label).orElse("");
    }

    private void add(List<Group> groups, String title, Purpose purpose) {
        List<FeatureRow> rows =
                reading.features().stream()
                        .filter(f -> f.purpose() == purpose)
                        .map(f -> row(f, f.isClosed() ? "Closed line" : "Line"))
                        .toList();
        if (!rows.isEmpty()) {
            groups.add(new Group(title, String.valueOf(rows.size()), rows));
        }
    }

    /** Hole, slot or opening, with its size where the form has a name. */
    static String opening(Feature feature) {
        Form form = feature.form().orElseThrow();
        return switch (form.kind()) {
            case CIRCLE -> "Hole " + form.label();
            case OTHER -> "Opening";
            default -> form.label();
        };
    }

    private FeatureRow row(Feature feature, String name) {
        return row(feature, name, Numbers.length(feature.chain().length()));
    }

    private FeatureRow row(Feature feature, String name, String note) {
        return new FeatureRow(
                feature.id(),
                name,
                note,
                feature.purpose().word(),
                selected.contains(feature.id()));
    }
}
