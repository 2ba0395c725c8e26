package dev.oleander.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Measures areas, prints a table for each and writes it as JSON. */
public final class Bench {

    private static final List<Area> AREAS =
            List.of(
                    new SliceArea(),
                    new GeometryArea(),
                    new DrawingArea(),
                    new CuttingArea(),
                    new MotionArea(),
                    new WireArea(),
                    new RouterArea(),
                    new PanelsArea(),
                    new LetteringArea(),
                    new WindingArea(),
                    new NestingArea(),
                    new EditsArea(),
                    new LoadArea(),
                    new KillsArea());

    private Bench() {}

    public static void main(String[] args) throws Exception {
        Locale.setDefault(Locale.ROOT);
        List<Area> wanted =
                AREAS.stream().filter(a -> args.length == 0 || args[0].equals(a.name())).toList();
        if (wanted.isEmpty()) {
            System.err.printf(
                    "There is no area \"%s\"; there are: %s%n",
                    args[0], String.join(", ", AREAS.stream().map(Area::name).toList()));
            System.exit(2);
        }
        for (Area area : wanted) {
            List<Row> rows = measured(area);
            print(area.name(), rows);
            write(area.name(), rows);
        }
    }

    /** The rows of an area, with limits of time for the machine as it is at the moment. */
    private static List<Row> measured(Area area) throws Exception {
        Reference reference = new Reference();
        double before = reference.seconds();
        List<Row> measured = area.measure();
        double now = (before + reference.seconds()) / 2;
        double slower = now / Reference.NOMINAL;
        List<Row> rows = new ArrayList<>();
        rows.add(Row.below(Reference.WORK, now, "s", null, null));
        rows.add(Row.below("slower than when limits were set, by", slower, "x", null, null));
        measured.forEach(row -> rows.add(row.on(slower)));
        return rows;
    }

    private static void print(String area, List<Row> rows) {
        System.out.printf("%n%s%n", area);
        System.out.printf(
                "%-62s %10s %10s %-5s %7s %9s %8s %s%n",
                "work", "ours", "other", "unit", "ratio", "at least", "aim", "met");
        for (Row r : rows) {
            System.out.printf(
                    "%-62s %10s %10s %-5s %7s %9s %8s %s%n",
                    r.work(),
                    number(r.ours()),
                    number(r.other()),
                    r.unit(),
                    number(r.ratio()),
                    number(r.atLeast()),
                    number(r.aim()),
                    r.met() ? "yes" : "NO");
        }
    }

    private static String number(Double value) {
        if (value == null) {
            return "";
        }
        double size = Math.abs(value);
        if (size > 0 && size < 1e-3) {
            return String.format("%.1e", value);
        }
        return String.format(size >= 100 ? "%.0f" : size >= 1 ? "%.2f" : "%.4f", value);
    }

    private static void write(String area, List<Row> rows) throws Exception {
        Path file = Path.of("bench", "target", "bench-" + area + ".json");
        JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Files.writeString(file, mapper.writeValueAsString(rows) + "\n");
        System.out.printf("written to %s%n", file);
    }
}
