package dev.oleander.web.release;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.ReadBack;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.NotFoundException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Where a released program can be begun again after it was broken off, and the text from there on.
 * It follows from the released text itself, read with the format as it was then.
 */
@Component
public class Resuming {

    private static final JsonMapper JSON = JsonMapper.shared();

    private final Formats formats;

    Resuming(Formats formats) {
        this.formats = formats;
    }

    /**
     * A place to begin from.
     *
     * @param line of the released text, from 1
     * @param file number of the file it stands in, from 1
     * @param at where the head goes first, mm
     */
    public record Start(int number, String stop, String name, int line, int file, Point at) {}

    /** The format with which a release was written. */
    public Dialect format(Release release) {
        String description = inputs(release).path("format").asString("");
        return description.isEmpty()
                ? formats.find(release.dialect())
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "The format \"%s\" is not known any more."
                                                        .formatted(release.dialect())))
                : DialectLibrary.parse(release.dialect(), description);
    }

    private static JsonNode inputs(Release release) {
        return JSON.readTree(release.inputs());
    }

    /** All places, in the order of the run. */
    public List<Start> starts(Release release) {
        List<String> lines = release.program().lines().toList();
        List<Integer> files = fileOfLine(release, lines.size());
        Map<String, Start> starts = new LinkedHashMap<>();
        Program program = program(release);
        List<Integer> lineOf = read(release).lineOfItem();
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            String stop = item.origin().stop();
            if (!stop.isEmpty() && item instanceof Item.Rapid rapid && !starts.containsKey(stop)) {
                int line = firstLine(program, lineOf, i, stop);
                String name = comment(lines, line - 1);
                starts.put(
                        stop,
                        new Start(
                                starts.size() + 1,
                                stop,
                                name.isEmpty() ? stop : name,
                                line,
                                files.get(line - 1),
                                rapid.to()));
            }
        }
        return List.copyOf(starts.values());
    }

    /** Line of the first item of the stop that an item belongs to. */
    private static int firstLine(Program program, List<Integer> lineOf, int item, String stop) {
        int first = item;
        while (first > 0 && program.items().get(first - 1).origin().stop().equals(stop)) {
            first--;
        }
        return lineOf.get(first);
    }

    /** What stands in brackets on the line before, as formats that comment their stops have it. */
    private static String comment(List<String> lines, int line) {
        String before = line > 0 ? lines.get(line - 1).strip() : "";
        boolean told = before.startsWith("(") && before.endsWith(")");
        String text = told ? before.substring(1, before.length() - 1) : "";
        return text.replaceFirst("^\\d+ ", "");
    }

    private static List<Integer> fileOfLine(Release release, int count) {
        List<Integer> files = new ArrayList<>(count);
        int file = 1;
        for (int lines : ReleaseFiles.partLines(release)) {
            for (int i = 0; i < lines; i++) {
                files.add(file);
            }
            file++;
        }
        while (files.size() < count) {
            files.add(Math.max(1, file - 1));
        }
        return files;
    }

    /**
     * The text from a stop on, with a safe entry, read back and compared.
     *
     * @throws NotFoundException when the release has no such stop
     * @throws ReleaseRefusedException when the text read back is not the rest of the program
     */
    public String from(Release release, String stop) {
        Program whole = program(release);
        List<String> stops = Excerpt.stops(whole);
        int first = stops.indexOf(stop);
        if (first < 0) {
            throw new NotFoundException(
                    "Revision %s has no stop \"%s\".".formatted(release.revision(), stop));
        }
        Dialect format = format(release);
        Set<String> rest = new HashSet<>(stops.subList(first, stops.size()));
        Map<String, String> frame = frame(release);
        frame.merge("revision", " from stop " + (first + 1), String::concat);
        Map<String, String> names = new HashMap<>();
        starts(release).forEach(s -> names.put(s.stop(), s.name()));
        try {
            Checked checked =
                    new SplitWriter(format).write(whole, rest::contains, frame, names).checked();
            if (!checked.isTrue()) {
                throw new ReleaseRefusedException(
                        "Read back, the text is not the rest of the program: "
                                + checked.faults().get(0),
                        List.of());
            }
            return checked.written().text();
        } catch (DialectException impossible) {
            throw new ReleaseRefusedException(impossible.getMessage(), List.of());
        }
    }

    private static Map<String, String> frame(Release release) {
        Map<String, String> frame =
                JSON.convertValue(
                        inputs(release).path("frame"), new TypeReference<Map<String, String>>() {});
        return frame == null ? new HashMap<>() : new HashMap<>(frame);
    }

    private ReadBack read(Release release) {
        return new DialectReader(format(release)).read(release.program());
    }

    /**
     * The program as it was read from the text, each item with the stop that its line belongs to.
     */
    private Program program(Release release) {
        ReadBack back = read(release);
        List<Integer> itemOfLine =
                JSON.readValue(release.itemOfLine(), new TypeReference<List<Integer>>() {});
        List<Item> planned = new KeptMotion(release).program().items();
        List<Item> items = new ArrayList<>(back.program().size());
        for (int i = 0; i < back.program().size(); i++) {
            int planItem = itemOfLine.get(back.lineOfItem().get(i) - 1);
            Origin origin = planItem < 0 ? Origin.FRAME : planned.get(planItem).origin();
            items.add(back.program().items().get(i).of(origin));
        }
        return new Program(items);
    }
}
