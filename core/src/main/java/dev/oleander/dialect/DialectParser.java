package dev.oleander.dialect;

import com.fasterxml.jackson.annotation.Nulls;
import com.samskivert.mustache.Template;
import dev.oleander.motion.EventKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Reads a description and checks it; every mistake is told with its line and field. */
final class DialectParser {

    private static final YAMLMapper MAPPER =
            YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                    .changeDefaultNullHandling(usual -> usual.withContentNulls(Nulls.FAIL))
                    .build();

    private static final int LEAST_LINE = 8;
    private static final String WORD = "[A-Z]\\d+(\\.\\d+)?";
    private static final Set<String> KINDS =
            Arrays.stream(EventKind.values()).map(EventKind::word).collect(Collectors.toSet());

    private final String file;
    private final YamlPlaces places;
    private final List<String> mistakes = new ArrayList<>();

    private DialectParser(String file, String yaml) {
        this.file = file;
        this.places = new YamlPlaces(yaml);
    }

    /**
     * @throws DialectException naming file, line and field of the first mistakes
     */
    static Dialect parse(String file, String yaml) {
        DialectParser parser = new DialectParser(file, yaml);
        Dialect dialect;
        try {
            dialect = MAPPER.readValue(yaml, Dialect.class);
        } catch (JacksonException wrong) {
            throw new DialectException(parser.sentence(wrong));
        }
        if (dialect == null) {
            throw new DialectException(file + ", line 1: the description is empty.");
        }
        parser.check(dialect);
        if (!parser.mistakes.isEmpty()) {
            throw new DialectException(String.join(" ", parser.mistakes));
        }
        return dialect;
    }

    private String sentence(JacksonException wrong) {
        int line = wrong.getLocation() == null ? 1 : wrong.getLocation().getLineNr();
        String field =
                wrong instanceof DatabindException known
                        ? known.getPath().stream()
                                .map(r -> r.getPropertyName() == null ? "" : r.getPropertyName())
                                .filter(name -> !name.isEmpty())
                                .collect(Collectors.joining("."))
                        : "";
        String what = what(wrong);
        String at = field.isEmpty() ? "" : field + " ";
        return "%s, line %d: %s%s".formatted(file, Math.max(1, line), at, what);
    }

    private static String what(JacksonException wrong) {
        if (wrong instanceof UnrecognizedPropertyException unknown) {
            String known =
                    unknown.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
            return "is not a field; known here are %s.".formatted(known);
        }
        if (wrong instanceof InvalidFormatException format) {
            Class<?> type = format.getTargetType();
            String possible =
                    type.isEnum()
                            ? Arrays.stream(type.getEnumConstants())
                                    .map(c -> c.toString().toLowerCase(Locale.ROOT))
                                    .collect(Collectors.joining(", "))
                            : type.getSimpleName().toLowerCase(Locale.ROOT);
            return "is \"%s\"; possible is %s.".formatted(format.getValue(), possible);
        }
        if (wrong instanceof InvalidNullException) {
            return "has an entry with nothing in it.";
        }
        Throwable cause = wrong.getCause();
        return cause instanceof DialectException mistake
                ? ": " + mistake.getMessage() + "."
                : wrong.getOriginalMessage().lines().findFirst().orElse("cannot be read") + ".";
    }

    private void mistake(String field, String what) {
        mistakes.add("%s, line %d: %s %s.".formatted(file, places.line(field), field, what));
    }

    private void check(Dialect dialect) {
        present(dialect);
        if (!mistakes.isEmpty()) {
            return;
        }
        events(dialect);
        if (!dialect.name().matches("[a-z][a-z0-9-]{1,39}")) {
            mistake("name", "must be 2 to 40 small letters, digits and hyphens");
        }
        numbering(dialect.numbering());
        lines(dialect);
        double sweep = dialect.arcs().largestSweep();
        if (!(sweep >= 1 && sweep <= 360)) {
            mistake("arcs.largestSweep", "must be 1 to 360 degrees, not " + sweep);
        }
        if (dialect.limits().blocks() < 20 || dialect.limits().bytes() < 1000) {
            mistake("limits", "must be at least 20 blocks and 1000 bytes");
        }
        if (dialect.language() == Dialect.Language.WORDS) {
            words(dialect);
        }
        if (dialect.cycles() != null) {
            cycles(dialect, dialect.cycles());
        }
        if (dialect.subprograms() != null) {
            subprograms(dialect, dialect.subprograms());
        }
        frame(dialect);
    }

    private void numbering(Dialect.Numbering numbers) {
        if (numbers.step() <= 0 || numbers.most() <= 0) {
            mistake("numbering", "needs a step and a most above 0");
        }
        if (numbers.start() < 0 || numbers.start() > numbers.most()) {
            mistake("numbering.start", "must be 0 to the most, not " + numbers.start());
        }
        if (numbers.digits() < 0 || numbers.digits() > 9) {
            mistake("numbering.digits", "must be 0 to 9, not " + numbers.digits());
        }
    }

    /** A comment that is too long is cut off: its marks and a little of it have to find room. */
    private void lines(Dialect dialect) {
        int marks = dialect.comment().open().length() + dialect.comment().close().length();
        int least = LEAST_LINE + marks;
        if (dialect.file().longestLine() < least) {
            mistake(
                    "file.longestLine",
                    "must be at least %d, not %d".formatted(least, dialect.file().longestLine()));
        }
    }

    private void cycles(Dialect dialect, Dialect.Cycles cycles) {
        if (dialect.language() != Dialect.Language.WORDS || !dialect.motion().depth()) {
            mistake("cycles", "need words, and heights that can be said");
        }
        if (cycles.drill() == null
                || !EventWords.namesOf(cycles.drill())
                        .equals(Set.of("x", "y", "z", "low", "feed"))) {
            mistake("cycles.drill", "needs {{x}}, {{y}}, {{z}}, {{low}} and {{feed}}");
        }
        word("cycles.end", cycles.end());
        if (cycles.hasPecks()
                && !EventWords.namesOf(cycles.peck())
                        .equals(Set.of("x", "y", "z", "low", "first", "peck", "feed"))) {
            mistake(
                    "cycles.peck",
                    "needs {{x}}, {{y}}, {{z}}, {{low}}, {{first}}, {{peck}} and {{feed}}");
        }
        if (!(cycles.again() >= 0 && cycles.again() <= 10)) {
            mistake("cycles.again", "must lie between 0 and 10 mm");
        }
    }

    private void subprograms(Dialect dialect, Dialect.Subprograms subs) {
        boolean absolute =
                dialect.arcs().by() == Dialect.By.CENTRE
                        && dialect.arcs().centre() == Dialect.CentreForm.ABSOLUTE;
        if (dialect.language() != Dialect.Language.WORDS || absolute) {
            mistake("subprograms", "need words, and arcs by a relative centre or a radius");
        }
        numbered("subprograms.call", subs.call());
        numbered("subprograms.begin", subs.begin());
        if (subs.end() == null || subs.end().isBlank()) {
            mistake("subprograms.end", "is missing");
        }
        word("subprograms.incremental", subs.incremental());
        word("subprograms.absolute", subs.absolute());
    }

    private void numbered(String field, String template) {
        if (template == null || !template.contains("{{number}}") || EventWords.isOpen(template)) {
            mistake(field, "needs {{number}}");
        }
    }

    private void present(Dialect dialect) {
        Map<String, Object> fields = new HashMap<>();
        fields.put("name", dialect.name());
        fields.put("title", dialect.title());
        fields.put("file", dialect.file());
        fields.put("numbering", dialect.numbering());
        fields.put("words", dialect.words());
        fields.put("motion", dialect.motion());
        fields.put("arcs", dialect.arcs());
        fields.put("comment", dialect.comment());
        fields.put("header", dialect.header());
        fields.put("footer", dialect.footer());
        fields.put("events", dialect.events());
        if (dialect.words() != null) {
            fields.put("words.coordinate", dialect.words().coordinate());
            fields.put("words.centre", dialect.words().centre());
            fields.put("words.feed", dialect.words().feed());
        }
        if (dialect.motion() != null) {
            fields.put("motion.rapid", dialect.motion().rapid());
            fields.put("motion.line", dialect.motion().line());
            fields.put("motion.clockwise", dialect.motion().clockwise());
            fields.put("motion.anticlockwise", dialect.motion().anticlockwise());
        }
        if (dialect.comment() != null) {
            fields.put("comment.open", dialect.comment().open());
            fields.put("comment.close", dialect.comment().close());
        }
        new TreeSet<>(fields.keySet())
                .forEach(
                        field -> {
                            if (fields.get(field) == null) {
                                mistake(field, "is missing");
                            }
                        });
    }

    private void events(Dialect dialect) {
        for (String event : new TreeSet<>(dialect.events().keySet())) {
            if (!KINDS.contains(event)) {
                mistake("events." + event, "is no event");
            }
        }
        for (EventKind kind : EventKind.values()) {
            if (kind.isOfEveryCut() && !dialect.events().containsKey(kind.word())) {
                mistake("events." + kind.word(), "is missing; empty text says nothing is written");
            }
        }
        Map<String, String> values = new HashMap<>();
        dialect.values().keySet().forEach(name -> values.put(name, "0"));
        values.put("text", "");
        dialect.events().forEach((kind, t) -> template("events." + kind, t, values));
        if (dialect.stopComment() != null) {
            template("stopComment", dialect.stopComment(), Map.of("name", ""));
        }
    }

    private void template(String field, String template, Map<String, String> values) {
        String text = template == null ? "" : template;
        if (EventWords.isOpen(text)) {
            mistake(field, "has braces that are not those of a name, as in {{name}}");
            return;
        }
        try {
            Template compiled = EventWords.compiled(field, text);
            EventWords.rendered(field, compiled, values);
        } catch (DialectException wrong) {
            mistakes.add(
                    "%s, line %d: %s.".formatted(file, places.line(field), wrong.getMessage()));
        }
    }

    private void frame(Dialect dialect) {
        Map<String, String> values = new HashMap<>(SamplePrograms.FRAME);
        dialect.parameters().forEach(p -> values.put(p.name(), p.usual()));
        for (Parameter parameter : dialect.parameters()) {
            try {
                parameter.value("");
            } catch (DialectException wrong) {
                mistake(
                        "parameters",
                        "has a usual value that is not possible: " + wrong.getMessage());
            }
        }
        template("file.name", dialect.file().name(), values);
        if (!dialect.file().extension().matches("[A-Za-z0-9]{1,8}")) {
            mistake(
                    "file.extension",
                    "must be 1 to 8 letters and digits, not \"%s\""
                            .formatted(dialect.file().extension()));
        }
        dialect.header().forEach(line -> template("header", line, values));
        dialect.footer().forEach(line -> template("footer", line, values));
    }

    private void words(Dialect dialect) {
        Dialect.Motion motion = dialect.motion();
        word("motion.rapid", motion.rapid());
        word("motion.line", motion.line());
        word("motion.clockwise", motion.clockwise());
        word("motion.anticlockwise", motion.anticlockwise());
        dialect.preparatory().forEach(word -> word("preparatory", word));
        Dialect.Addresses a = dialect.addresses();
        letter("addresses.x", a.x());
        letter("addresses.y", a.y());
        letter("addresses.u", a.u());
        letter("addresses.v", a.v());
        letter("addresses.i", a.i());
        letter("addresses.j", a.j());
        letter("addresses.r", a.r());
        letter("addresses.f", a.f());
        if (!dialect.numbering().address().isEmpty()) {
            letter("numbering.address", dialect.numbering().address());
        }
    }

    private void word(String field, String word) {
        if (word == null || !word.matches(WORD)) {
            mistake(field, "must be a letter and a number, not \"%s\"".formatted(word));
        }
    }

    private void letter(String field, String address) {
        if (!address.matches("[A-Z]")) {
            mistake(field, "must be one capital letter, not \"%s\"".formatted(address));
        }
    }
}
