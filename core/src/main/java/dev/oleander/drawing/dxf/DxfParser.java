package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.dxf.DxfRecord.UnreadableEntityException;
import dev.oleander.drawing.dxf.EntityBuilder.Shape;
import dev.oleander.quantity.LengthUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/** One reading of one file: follows its sections and collects the drawing. */
final class DxfParser {

    private static final Set<String> NOTES =
            Set.of(
                    "TEXT",
                    "MTEXT",
                    "DIMENSION",
                    "HATCH",
                    "LEADER",
                    "MULTILEADER",
                    "ATTDEF",
                    "ATTRIB",
                    "POINT",
                    "VIEWPORT",
                    "TOLERANCE",
                    "SOLID",
                    "IMAGE",
                    "WIPEOUT");
    private static final Set<String> PARTS_OF_OTHERS = Set.of("SEQEND", "VERTEX", "ENDSEC");

    private record SkipKey(String entity, String layer, String why, boolean lineWork) {}

    private final String file;
    private final DxfOptions options;
    private final Map<String, Layer> layers = new LinkedHashMap<>();
    private final List<Entity> entities = new ArrayList<>();
    private final Map<SkipKey, Integer> skipped = new LinkedHashMap<>();
    private final List<Fault> faults = new ArrayList<>();
    private Optional<LengthUnit> declared = Optional.empty();
    private EntityBuilder builder;
    private int segments;

    DxfParser(String file, DxfOptions options) {
        this.file = file;
        this.options = options;
    }

    Drawing parse(GroupReader groups) {
        List<DxfRecord> section = new ArrayList<>();
        boolean ended = false;
        boolean any = false;
        while (!ended && groups.next()) {
            if (groups.code() == 0) {
                any = true;
                section.add(new DxfRecord(groups.value(), groups.line()));
                if (groups.value().equals("ENDSEC")) {
                    takeSection(section);
                    section.clear();
                }
                ended = groups.value().equals("EOF");
            } else if (!section.isEmpty()) {
                section.get(section.size() - 1).add(groups.code(), groups.value(), groups.line());
            }
        }
        requireWhole(groups, any, ended);
        return drawing();
    }

    private void requireWhole(GroupReader groups, boolean any, boolean ended) {
        if (!any) {
            throw new DrawingException(
                    file, null, "%s is not a DXF drawing: it has no section.".formatted(file));
        }
        if (!ended) {
            throw groups.cutOff();
        }
    }

    private Drawing drawing() {
        if (entities.isEmpty()) {
            String left =
                    skipped.isEmpty()
                            ? ""
                            : " %d entities of other kinds were left out."
                                    .formatted(
                                            skipped.values().stream()
                                                    .mapToInt(Integer::intValue)
                                                    .sum());
            throw new DrawingException(
                    file, null, "%s holds no line work.%s".formatted(file, left));
        }
        List<Skipped> left =
                skipped.entrySet().stream()
                        .map(
                                e ->
                                        new Skipped(
                                                e.getKey().entity(),
                                                e.getKey().layer(),
                                                e.getValue(),
                                                e.getKey().why(),
                                                e.getKey().lineWork()))
                        .toList();
        return new Drawing(
                file, declared, unit(), List.copyOf(layers.values()), entities, left, faults);
    }

    private LengthUnit unit() {
        return options.unit().or(() -> declared).orElse(LengthUnit.MILLIMETRE);
    }

    private void takeSection(List<DxfRecord> records) {
        DxfRecord head =
                records.stream().filter(r -> r.type().equals("SECTION")).findFirst().orElse(null);
        if (head == null) {
            return;
        }
        switch (head.text(2).orElse("")) {
            case "HEADER" -> takeHeader(head);
            case "TABLES" ->
                    records.stream().filter(r -> r.type().equals("LAYER")).forEach(this::takeLayer);
            case "ENTITIES" -> takeEntities(records);
            default -> {
                // classes, blocks and objects hold nothing that is read
            }
        }
    }

    private void takeHeader(DxfRecord head) {
        boolean units = false;
        for (DxfRecord.Group group : head.groups()) {
            if (group.code() == 9) {
                units = group.value().equals("$INSUNITS");
            } else if (units && group.code() == 70) {
                declared = unitOf(group.value());
            }
        }
    }

    private static Optional<LengthUnit> unitOf(String code) {
        try {
            return LengthUnit.ofDxfCode(Integer.parseInt(code));
        } catch (NumberFormatException notANumber) {
            return Optional.empty();
        }
    }

    private void takeLayer(DxfRecord layer) {
        String name = layer.text(2).orElse("0");
        boolean frozen = (layer.integer(70, 0) & 1) != 0;
        int colour = layer.integer(62, 7);
        layers.put(name, new Layer(name, Math.abs(colour), !frozen && colour >= 0));
    }

    private void takeEntities(List<DxfRecord> records) {
        builder = new EntityBuilder(unit().millimetres(), options.farthest());
        for (int i = 1; i < records.size(); i++) {
            DxfRecord entity = records.get(i);
            if (entity.type().equals("POLYLINE")) {
                int end = i + 1;
                while (end < records.size() && records.get(end).type().equals("VERTEX")) {
                    end++;
                }
                List<DxfRecord> vertices = List.copyOf(records.subList(i + 1, end));
                take(entity, () -> builder.polyline(entity, vertices));
            } else if (builder.reads(entity.type())) {
                take(entity, () -> builder.build(entity));
            } else if (!PARTS_OF_OTHERS.contains(entity.type())) {
                leaveOut(entity);
            }
        }
    }

    private void leaveOut(DxfRecord entity) {
        if (isHidden(entity)) {
            return;
        }
        boolean note = NOTES.contains(entity.type());
        String why = note ? "a note, not line work" : "this kind of entity is not read";
        skip(entity, why, !note);
    }

    /** Counts entities on paper and on hidden layers as left out. */
    private boolean isHidden(DxfRecord entity) {
        if (entity.isOnPaper()) {
            skip(entity, "on the paper sheet, not in the model", false);
            return true;
        }
        Layer layer = layers.get(entity.layer());
        if (layer != null && !layer.visible()) {
            skip(entity, "its layer is off or frozen", false);
            return true;
        }
        return false;
    }

    private void skip(DxfRecord entity, String why, boolean lineWork) {
        skipped.merge(new SkipKey(entity.type(), entity.layer(), why, lineWork), 1, Integer::sum);
    }

    private void take(DxfRecord entity, Supplier<Shape> build) {
        if (isHidden(entity)) {
            return;
        }
        layers.computeIfAbsent(entity.layer(), name -> new Layer(name, 7, true));
        try {
            add(entity, build.get());
        } catch (UnreadableEntityException unreadable) {
            skip(entity, unreadable.getMessage(), true);
            String sentence =
                    "%s on layer %s (line %d of the file) is left out: %s."
                            .formatted(
                                    entity.type(),
                                    entity.layer(),
                                    entity.line(),
                                    unreadable.getMessage());
            faults.add(new Fault(Fault.Kind.UNREADABLE, Optional.empty(), 0, false, sentence));
        }
    }

    private void add(DxfRecord entity, Shape shape) {
        if (shape.segments().isEmpty()) {
            String sentence =
                    "%s without length on layer %s (line %d of the file) is left out."
                            .formatted(entity.type(), entity.layer(), entity.line());
            faults.add(Fault.mended(Fault.Kind.CRUMB, shape.place(), 0, sentence));
            return;
        }
        segments += shape.segments().size();
        if (segments > options.mostSegments()) {
            throw new DrawingException(
                    file,
                    entity.line(),
                    "%s has more than %d lines and arcs.".formatted(file, options.mostSegments()));
        }
        entities.add(
                new Entity(
                        entities.size(),
                        entity.type(),
                        entity.layer(),
                        entity.line(),
                        entity.text(5).orElse(""),
                        shape.segments(),
                        shape.closed()));
    }
}
