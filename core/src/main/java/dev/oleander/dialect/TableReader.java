package dev.oleander.dialect;

import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Pose;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.ObjectReader;
import tools.jackson.dataformat.csv.CsvSchema;

/** Reads a table of moves, a row of comma-separated values for every item. */
final class TableReader implements LineReader {

    private static final Map<String, CsvSchema> HEADERS =
            Map.of(
                    String.join(",", TableWriter.FLAT.getColumnNames()), TableWriter.FLAT,
                    String.join(",", TableWriter.DEEP.getColumnNames()), TableWriter.DEEP);

    private final Dialect dialect;
    private final ReadItems items;
    private final Map<String, EventKind> events = new HashMap<>();
    private CsvSchema columns = TableWriter.FLAT;
    private ObjectReader rows = TableWriter.MAPPER.readerFor(MoveRow.class).with(columns);

    TableReader(Dialect dialect, ReadItems items) {
        this.dialect = dialect;
        this.items = items;
        for (EventKind kind : EventKind.values()) {
            events.put(kind.word(), kind);
        }
    }

    @Override
    public void line(String text) {
        String open = dialect.comment().open();
        boolean comment = !open.isEmpty() && text.startsWith(open);
        CsvSchema named = HEADERS.get(text.strip());
        if (named != null) {
            columns = named;
            rows = TableWriter.MAPPER.readerFor(MoveRow.class).with(columns);
        }
        if (text.isBlank() || comment || named != null) {
            return;
        }
        try {
            MoveRow row = rows.readValue(text);
            EventKind kind = events.get(row.move());
            if (kind != null) {
                items.event(kind, values(row.values()));
            } else {
                move(row);
            }
        } catch (JacksonException | NumberFormatException wrong) {
            items.problem(
                    1,
                    "the row is not made of the columns %s."
                            .formatted(String.join(",", columns.getColumnNames())));
        }
    }

    private static Map<String, Double> values(String pairs) {
        Map<String, Double> values = new HashMap<>();
        for (String pair : pairs.split(";")) {
            int equals = pair.indexOf('=');
            if (equals > 0) {
                values.put(pair.substring(0, equals).strip(), number(pair.substring(equals + 1)));
            }
        }
        return values;
    }

    private void move(MoveRow row) {
        Optional<Point> end = point(row.x(), row.y());
        if (end.isEmpty()) {
            items.problem(1, "\"%s\" needs x and y.".formatted(row.move()));
            return;
        }
        Point to = end.get();
        double feed = row.feed().isBlank() ? 0 : number(row.feed());
        boolean on = row.on().strip().equals("1");
        if (!row.z().isBlank() || !row.turn().isBlank()) {
            double turn = row.turn().isBlank() ? 0 : number(row.turn());
            items.towards(new Pose(row.z().isBlank() ? 0 : number(row.z()), turn));
        }
        switch (row.move()) {
            case MoveRow.RAPID -> items.rapid(to);
            case MoveRow.LINE, MoveRow.PLUNGE -> items.at(on).line(to, feed, 1);
            case MoveRow.LEFT, MoveRow.RIGHT -> arc(row, to, feed, on);
            case MoveRow.SYNC -> sync(row, to, feed, on);
            default -> items.problem(1, "\"%s\" is not known here.".formatted(row.move()));
        }
        items.goTo(to);
    }

    private void arc(MoveRow row, Point to, double feed, boolean on) {
        Optional<Point> centre = point(row.centreX(), row.centreY());
        if (centre.isPresent()) {
            boolean left = row.move().equals(MoveRow.LEFT);
            items.at(on).arc(to, centre.get(), left, feed, 1);
        } else {
            items.problem(1, "an arc needs centreX and centreY.");
        }
    }

    private void sync(MoveRow row, Point to, double feed, boolean on) {
        Optional<Point> upper = point(row.u(), row.v());
        if (upper.isPresent()) {
            items.at(on).twoPlane(to, upper.get().minus(to), feed, 1);
        } else {
            items.problem(1, "a move in two planes needs u and v.");
        }
    }

    private static Optional<Point> point(String x, String y) {
        return x.isBlank() || y.isBlank()
                ? Optional.empty()
                : Optional.of(new Point(number(x), number(y)));
    }

    private static double number(String text) {
        double number = Double.parseDouble(text.strip());
        if (!Double.isFinite(number)) {
            throw new NumberFormatException(text);
        }
        return number;
    }
}
