package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;

/** Writes a row of comma-separated values for every item, the names of the columns first. */
final class TableWriter {

    static final CsvMapper MAPPER = new CsvMapper();
    static final CsvSchema DEEP = MAPPER.schemaFor(MoveRow.class).withLineSeparator("");

    /** Of programs without heights. */
    static final CsvSchema FLAT = flat();

    /** For values that a dialect says nothing about. */
    static final NumberForm PLAIN = NumberForm.plain(6, false, false);

    private final Dialect dialect;
    private final NumberForm coordinate;
    private final TextLines text;

    TableWriter(Dialect dialect, TextLines text) {
        this.dialect = dialect;
        this.coordinate = dialect.words().coordinate();
        this.text = text;
    }

    private static CsvSchema flat() {
        CsvSchema.Builder columns = CsvSchema.builder();
        DEEP.getColumnNames().stream()
                .filter(name -> !name.equals("z") && !name.equals("turn"))
                .forEach(columns::addColumn);
        return columns.setLineSeparator("").build();
    }

    void write(Program program, List<Integer> itemOf) {
        boolean deep = program.items().stream().anyMatch(i -> i.rise() != Rise.FLAT);
        CsvSchema columns = deep ? DEEP : FLAT;
        ObjectWriter rows = MAPPER.writer(columns).with(StreamWriteFeature.IGNORE_UNKNOWN);
        text.add(String.join(",", columns.getColumnNames()), -1);
        Point at = Point.ORIGIN;
        Point lean = Point.ORIGIN;
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            text.commentOf(item);
            Point to = end(item, at);
            Point leanAfter = item instanceof Item.TwoPlane both ? both.lean() : lean;
            boolean rises = !item.rise().isLevel();
            if (item instanceof Item.Event
                    || !isSame(at, to)
                    || !isSame(lean, leanAfter)
                    || rises) {
                text.block(rows.writeValueAsString(row(item, deep)), itemOf.get(i));
            }
            at = to;
            lean = leanAfter;
        }
    }

    private static Point end(Item item, Point at) {
        if (item instanceof Item.Rapid rapid) {
            return rapid.to();
        }
        return item instanceof Item.AtFeed feed ? feed.end() : at;
    }

    private boolean isSame(Point a, Point b) {
        return coordinate.steps(a.x()) == coordinate.steps(b.x())
                && coordinate.steps(a.y()) == coordinate.steps(b.y());
    }

    /**
     * @param deep whether heights are told
     */
    private MoveRow row(Item item, boolean deep) {
        if (item instanceof Item.Event event) {
            Map<String, String> values = new HashMap<>();
            event.args().forEach((name, value) -> values.put(name, form(name).write(value)));
            String plain = TextLines.plainText(event.text(), dialect.comment());
            return MoveRow.event(event.kind().word(), values, plain);
        }
        if (item instanceof Item.Rapid rapid) {
            return row(MoveRow.RAPID, rapid.to(), pose(item, deep), null, null, 0, false);
        }
        if (item instanceof Item.TwoPlane both) {
            Point lower = both.end();
            Point upper = lower.plus(both.lean());
            return row(MoveRow.SYNC, lower, pose(item, deep), upper, null, both.feed(), both.on());
        }
        if (item instanceof Item.Plunge plunge) {
            Point at = plunge.at();
            return row(
                    MoveRow.PLUNGE, at, pose(item, deep), null, null, plunge.feed(), plunge.on());
        }
        Item.Feed feed = (Item.Feed) item;
        if (feed.segment() instanceof Arc arc) {
            String way = arc.isLeft() ? MoveRow.LEFT : MoveRow.RIGHT;
            return row(
                    way, feed.end(), pose(item, deep), null, arc.centre(), feed.feed(), feed.on());
        }
        return row(MoveRow.LINE, feed.end(), pose(item, deep), null, null, feed.feed(), feed.on());
    }

    private static Optional<Pose> pose(Item item, boolean deep) {
        return deep ? Optional.of(item.rise().to()) : Optional.empty();
    }

    private NumberForm form(String value) {
        return dialect.values().getOrDefault(value, PLAIN);
    }

    private MoveRow row(
            String move,
            Point to,
            Optional<Pose> pose,
            Point upper,
            Point centre,
            double feed,
            boolean on) {
        NumberForm middle = dialect.words().centre();
        return new MoveRow(
                move,
                coordinate.write(to.x()),
                coordinate.write(to.y()),
                pose.map(p -> coordinate.write(p.z())).orElse(""),
                pose.map(p -> coordinate.write(p.turn())).orElse(""),
                upper == null ? "" : coordinate.write(upper.x()),
                upper == null ? "" : coordinate.write(upper.y()),
                centre == null ? "" : middle.write(centre.x()),
                centre == null ? "" : middle.write(centre.y()),
                feed == 0 ? "" : dialect.words().feed().write(feed),
                on ? "1" : "0",
                "",
                "");
    }
}
