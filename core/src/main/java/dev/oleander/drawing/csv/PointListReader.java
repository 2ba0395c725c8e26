package dev.oleander.drawing.csv;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.OutlinePen;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads points, one to a line: x and y apart by a comma, a semicolon, a tab or spaces. With
 * semicolons a comma is that of a decimal number. An empty line begins a new outline; one that ends
 * where it began is closed. A first line without numbers is a heading, which may name the unit: x
 * (mm), y (mm).
 */
public final class PointListReader {

    private static final String LAYER = "points";
    private static final Pattern UNIT =
            Pattern.compile("[(\\[]\\s*([a-z]+)\\s*[)\\]]|_([a-z]+)\\b");

    private final ImportOptions options;

    public PointListReader(ImportOptions options) {
        this.options = options;
    }

    /**
     * @param name of the file, for messages
     * @throws DrawingException naming the line when it does not hold two usable numbers; when the
     *     file holds no two points
     */
    public Drawing read(String name, byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "");
        String[] lines = text.split("\r\n|\n|\r", -1);
        boolean headed = !lines[0].isBlank() && !lines[0].matches(".*\\d.*");
        Optional<LengthUnit> declared = headed ? unit(lines[0]) : Optional.empty();
        LengthUnit taken = options.unit().orElseGet(() -> declared.orElse(LengthUnit.MILLIMETRE));
        Collector collector = new Collector(name, options);
        List<Point> run = new ArrayList<>();
        for (int i = headed ? 1 : 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.isEmpty()) {
                take(collector, run, i + 1 - run.size());
                run.clear();
            } else {
                run.add(point(name, line, i + 1, taken.millimetres(), collector));
            }
        }
        take(collector, run, lines.length + 1 - run.size());
        return collector.drawing(declared, taken);
    }

    private static Optional<LengthUnit> unit(String heading) {
        Matcher matcher = UNIT.matcher(heading.toLowerCase(Locale.ROOT));
        while (matcher.find()) {
            String word = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
            Optional<LengthUnit> unit = LengthUnit.ofSymbol(word);
            if (unit.isPresent()) {
                return unit;
            }
        }
        return Optional.empty();
    }

    private static Point point(
            String name, String line, int number, double scale, Collector collector) {
        String[] cells =
                line.contains(";") ? line.replace(',', '.').split(";") : line.split("[,\\s]+");
        try {
            if (cells.length >= 2) {
                double x = Double.parseDouble(cells[0].strip());
                double y = Double.parseDouble(cells[1].strip());
                return collector.checked(new Point(x * scale, y * scale));
            }
        } catch (NumberFormatException notNumbers) {
            // told below
        } catch (UnreadableException far) {
            throw new DrawingException(
                    name,
                    number,
                    "%s, line %d cannot be read: %s.".formatted(name, number, far.getMessage()));
        }
        String shown = line.length() > 40 ? line.substring(0, 40) + "…" : line;
        throw new DrawingException(
                name,
                number,
                "%s, line %d: two numbers should stand here, x and y, not \"%s\"."
                        .formatted(name, number, shown));
    }

    private static void take(Collector collector, List<Point> run, int line) {
        if (run.isEmpty()) {
            return;
        }
        Collector.Source source = new Collector.Source("POINTS", Style.onLayer(LAYER), line, "");
        if (run.size() == 1) {
            collector.point(run.get(0));
            return;
        }
        OutlinePen pen = new OutlinePen(collector.options().fit());
        pen.start(run.get(0));
        run.subList(1, run.size()).forEach(pen::lineTo);
        Outline outline = pen.finish(pen.at().equals(pen.first()));
        collector.add(source, outline, run.get(0));
    }
}
