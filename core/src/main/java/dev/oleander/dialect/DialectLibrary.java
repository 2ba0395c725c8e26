package dev.oleander.dialect;

import dev.oleander.motion.EventKind;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Loads descriptions of dialects and checks them. */
public final class DialectLibrary {

    private static final List<String> SHIPPED =
            List.of(
                    "teasel", "sorrel", "yarrow", "bracken", "hazel", "iso6983", "iso6582",
                    "iso3592", "moves");
    private static final YAMLMapper MAPPER =
            YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                    .build();

    private final Map<String, Dialect> dialects = new LinkedHashMap<>();

    private DialectLibrary() {}

    /** The dialects that ship with Oleander. */
    public static DialectLibrary shipped() {
        DialectLibrary library = new DialectLibrary();
        for (String name : SHIPPED) {
            try (InputStream in = DialectLibrary.class.getResourceAsStream(name + ".yaml")) {
                Dialect dialect =
                        parse(
                                name + ".yaml",
                                new String(in.readAllBytes(), StandardCharsets.UTF_8));
                library.dialects.put(dialect.name(), dialect);
            } catch (IOException unreadable) {
                throw new IllegalStateException("dialect " + name, unreadable);
            }
        }
        return library;
    }

    public Optional<Dialect> find(String name) {
        return Optional.ofNullable(dialects.get(name));
    }

    public List<Dialect> all() {
        return List.copyOf(dialects.values());
    }

    /**
     * A dialect from its description.
     *
     * @throws DialectException naming file, line and field when something is missing or wrong
     */
    public static Dialect parse(String file, String yaml) {
        Dialect dialect;
        try {
            dialect = MAPPER.readValue(yaml, Dialect.class);
        } catch (JacksonException wrong) {
            int line = wrong.getLocation() == null ? 0 : wrong.getLocation().getLineNr();
            throw new DialectException(
                    "%s, line %d: %s".formatted(file, line, wrong.getOriginalMessage()));
        }
        List<String> missing = missing(dialect);
        if (!missing.isEmpty()) {
            throw new DialectException(
                    "%s: missing %s.".formatted(file, String.join(", ", missing)));
        }
        DialectWriter.requireUsable(file, dialect);
        return dialect;
    }

    private static List<String> missing(Dialect dialect) {
        List<String> missing = new ArrayList<>();
        Map<String, Object> fields = new LinkedHashMap<>();
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
        fields.forEach(
                (name, value) -> {
                    if (value == null) {
                        missing.add(name);
                    }
                });
        if (dialect.words() != null) {
            Map<String, Object> words = new LinkedHashMap<>();
            words.put("words.coordinate", dialect.words().coordinate());
            words.put("words.centre", dialect.words().centre());
            words.put("words.feed", dialect.words().feed());
            words.forEach(
                    (name, value) -> {
                        if (value == null) {
                            missing.add(name);
                        }
                    });
        }
        if (dialect.events() != null) {
            for (EventKind kind : EventKind.values()) {
                if (kind.isOfEveryCut() && !dialect.events().containsKey(kind.word())) {
                    missing.add("events." + kind.word());
                }
            }
        }
        return missing;
    }
}
