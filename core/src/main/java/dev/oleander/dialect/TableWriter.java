package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;

/** Writes a row of comma-separated values for every item, the names of the columns first. */
final class TableWriter {

    static final CsvMapper MAPPER = new CsvMapper();
    static final CsvSchema COLUMNS = MAPPER.schemaFor(MoveRow.class).withLineSeparator("");

    /** For values that a dialect says nothing about. */
    static final NumberForm PLAIN = NumberForm.plain(6, false, false);

    private final Dialect dialect;
    private final NumberForm coordinate;
    private final TextLines text;
    private final ObjectWriter rows = MAPPER.writer(COLUMNS);

    TableWriter(Dialect dialect, TextLines text) {
        this.dialect = dialect;
        this.coordinate = dialect.words().coordinate();
        this.text = text;
    }

    void write(Program program, List<Integer> itemOf) {
        text.add(String.join(",", COLUMNS.getColumnNames()), -1);
        Point at = Point.ORIGIN;
        Point lean = Point.ORIGIN;
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            text.commentOf(item);
            Point to = end(item, at);
            Point leanAfter = item instanceof Item.TwoPlane both ? both.lean() : lean;
            if (item instanceof Item.Event || !isSame(at, to) || !isSame(lean, leanAfter)) {
                text.block(rows.writeValueAsString(row(item)), itemOf.get(i));
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

    private MoveRow row(Item item) {
        if (item instanceof Item.Event event) {
            Map<String, String> values = new HashMap<>();
            event.args().forEach((name, value) -> values.put(name, form(name).write(value)));
            String plain = TextLines.plainText(event.text(), dialect.comment());
            return MoveRow.event(event.kind().word(), values, plain);
        }
        if (item instanceof Item.Rapid rapid) {
            return row(MoveRow.RAPID, rapid.to(), null, null, 0, false);
        }
        if (item instanceof Item.TwoPlane both) {
            Point lower = both.end();
            return row(MoveRow.SYNC, lower, lower.plus(both.lean()), null, both.feed(), both.on());
        }
        Item.Feed feed = (Item.Feed) item;
        if (feed.segment() instanceof Arc arc) {
            String way = arc.isLeft() ? MoveRow.LEFT : MoveRow.RIGHT;
            return row(way, feed.end(), null, arc.centre(), feed.feed(), feed.on());
        }
        return row(MoveRow.LINE, feed.end(), null, null, feed.feed(), feed.on());
    }

    private NumberForm form(String value) {
        return dialect.values().getOrDefault(value, PLAIN);
    }

    private MoveRow row(String move, Point to, Point upper, Point centre, double feed, boolean on) {
        NumberForm middle = dialect.words().centre();
        return new MoveRow(
                move,
                coordinate.write(to.x()),
                coordinate.write(to.y()),
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
