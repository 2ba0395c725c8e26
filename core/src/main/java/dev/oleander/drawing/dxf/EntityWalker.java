package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.LengthUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.LongStream;

/** Takes the entities of the model, or of one block as often as it is put in. */
final class EntityWalker {

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
                    "VIEWPORT",
                    "TOLERANCE",
                    "IMAGE",
                    "WIPEOUT");
    private static final Set<String> TEXTS = Set.of("TEXT", "MTEXT", "ATTRIB");

    /** In texts of several lines: from a backslash and a letter up to a semicolon. */
    private static final Pattern SETTING = Pattern.compile("\\\\[A-Za-z][^;{}]*;");

    private static final Set<String> ENDS = Set.of("SEQEND", "VERTEX");

    /** Blocks inside blocks; drawings of the shop have three or four. */
    private static final int DEEPEST = 40;

    private final Collector collector;
    private final Map<String, Block> blocks;
    private final EntityBuilder builder;
    private final Transform map;
    private final Styles styles;

    /** Names of the blocks round what is walked, outermost first. */
    private final Set<String> inside;

    private DxfRecord polyline;
    private List<DxfRecord> vertices = List.of();

    private EntityWalker(
            Collector collector,
            Map<String, Block> blocks,
            Transform map,
            Style insert,
            Set<String> inside) {
        this.collector = collector;
        this.blocks = blocks;
        this.map = map;
        this.styles = new Styles(collector, insert);
        this.inside = inside;
        this.builder = new EntityBuilder(collector, map);
    }

    static EntityWalker ofModel(Collector collector, Map<String, Block> blocks, LengthUnit unit) {
        Transform toMillimetres = Transform.scaling(unit.millimetres());
        return new EntityWalker(collector, blocks, toMillimetres, null, Set.of());
    }

    void take(DxfRecord record) {
        if (polyline != null) {
            if (record.type().equals("VERTEX")) {
                vertices.add(record);
                return;
            }
            endPolyline();
        }
        if (record.type().equals("POLYLINE")) {
            polyline = record;
            vertices = new ArrayList<>();
        } else if (!ENDS.contains(record.type())) {
            takeWhole(record);
        }
    }

    /** To be called after the last record. */
    void finish() {
        if (polyline != null) {
            endPolyline();
        }
    }

    private void endPolyline() {
        DxfRecord head = polyline;
        List<DxfRecord> own = vertices;
        polyline = null;
        vertices = List.of();
        if (!isHidden(head)) {
            build(head, () -> builder.polyline(head, own));
        }
    }

    private void takeWhole(DxfRecord record) {
        if (isHidden(record)) {
            return;
        }
        if (record.type().equals("INSERT")) {
            guarded(record, () -> insert(record));
        } else if (record.type().equals("POINT")) {
            guarded(record, () -> collector.point(builder.point(record)));
        } else if (builder.reads(record.type())) {
            build(record, () -> builder.build(record));
        } else {
            if (TEXTS.contains(record.type())) {
                guarded(record, () -> collector.label(text(record), builder.point(record)));
            }
            boolean note = NOTES.contains(record.type());
            String why = note ? "a note, not line work" : "this kind of entity is not read";
            collector.skip(record.type(), layerOf(record), why, !note);
        }
    }

    /** Without the codes that set it: a font within braces, a new line. */
    private static String text(DxfRecord record) {
        String set = record.text(1).orElse("");
        return SETTING.matcher(set.replace("\\P", " ")).replaceAll("").replaceAll("[{}]", "");
    }

    private String layerOf(DxfRecord record) {
        return styles.of(record).layer();
    }

    /** Counts entities on paper and on hidden layers as left out. */
    private boolean isHidden(DxfRecord record) {
        String layer = layerOf(record);
        if (record.isOnPaper()) {
            collector.skip(record.type(), layer, "on the paper sheet, not in the model", false);
            return true;
        }
        Layer known = collector.layer(layer);
        if (known != null && !known.visible()) {
            collector.skip(record.type(), layer, "its layer is off or frozen", false);
            return true;
        }
        if (record.integer(60, 0) == 1) {
            collector.skip(record.type(), layer, "it is set to be invisible", false);
            return true;
        }
        return false;
    }

    private void build(DxfRecord record, Supplier<EntityBuilder.Built> build) {
        guarded(
                record,
                () -> {
                    EntityBuilder.Built built = build.get();
                    Outline outline = built.outline();
                    Collector.Source source =
                            new Collector.Source(
                                    record.type(),
                                    styles.of(record),
                                    record.line(),
                                    record.handle());
                    collector.add(source, outline, built.place());
                });
    }

    private void guarded(DxfRecord record, Runnable deed) {
        try {
            deed.run();
        } catch (UnreadableException unreadable) {
            collector.unreadable(
                    record.type(), layerOf(record), record.line(), unreadable.getMessage());
        }
    }

    private void insert(DxfRecord record) {
        String name = record.text(2).orElse("");
        Block block = blocks.get(name);
        if (block == null) {
            throw new UnreadableException("there is no block \"%s\"".formatted(name));
        }
        if (block.isOutside()) {
            throw new UnreadableException(
                    "block \"%s\" lies in another file; export it together with this one"
                            .formatted(name));
        }
        if (inside.contains(name)) {
            throw new UnreadableException("block \"%s\" contains itself".formatted(name));
        }
        if (inside.size() >= DEEPEST) {
            throw new UnreadableException(
                    "blocks lie in each other more than %d deep".formatted(DEEPEST));
        }
        Set<String> deeper = new LinkedHashSet<>(inside);
        deeper.add(name);
        Style style = styles.of(record);
        for (Transform place : new InsertPlaces(record, block.base()).all(collector)) {
            collector.insert(record.line());
            EntityWalker walker =
                    new EntityWalker(collector, blocks, place.then(map), style, deeper);
            block.records().forEach(walker::take);
            walker.finish();
        }
    }

    /** Where an insert puts its block: once, or in columns and rows. */
    private record InsertPlaces(DxfRecord record, Point base) {

        Iterable<Transform> all(Collector collector) {
            double sx = factor(41);
            double sy = factor(42);
            int columns = Math.max(1, record.integer(70, 1));
            int rows = Math.max(1, record.integer(71, 1));
            double dx = record.number(44, 0);
            double dy = record.number(45, 0);
            Transform turned = Transform.rotation(Math.toRadians(record.number(50, 0)));
            Point at = new Point(record.number(10), record.number(20));
            Transform seen = record.isFromBehind() ? Transform.mirror() : Transform.IDENTITY;
            Transform scaled =
                    Transform.translation(base.times(-1)).then(new Transform(sx, 0, 0, sy, 0, 0));
            long copies = (long) columns * rows;
            if (copies > collector.options().mostInserts()) {
                throw new UnreadableException(
                        "its %d columns and %d rows are too many; %d copies are the limit"
                                .formatted(columns, rows, collector.options().mostInserts()));
            }
            return LongStream.range(0, copies)
                            .mapToObj(
                                    i -> new Point(dx * (i % columns), dy * (double) (i / columns)))
                            .map(
                                    shift ->
                                            scaled.then(Transform.translation(shift))
                                                    .then(turned)
                                                    .then(Transform.translation(at))
                                                    .then(seen))
                    ::iterator;
        }

        private double factor(int code) {
            double factor = record.number(code, 1);
            if (factor == 0) {
                throw new UnreadableException("its scale is 0");
            }
            return factor;
        }
    }
}
