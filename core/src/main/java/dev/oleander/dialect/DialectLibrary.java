package dev.oleander.dialect;

import dev.oleander.machine.MachineLibrary;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Loads descriptions of dialects and checks them. */
public final class DialectLibrary {

    /** Those that belong to no machine. */
    private static final List<String> PLAIN = List.of("iso6983", "iso6582", "iso3592", "moves");

    private static final Map<String, URL> SHIPPED = descriptions();

    private static Map<String, URL> descriptions() {
        Map<String, URL> all = new LinkedHashMap<>();
        MachineLibrary.kinds().forEach(kind -> all.putAll(kind.formats()));
        PLAIN.forEach(name -> all.put(name, DialectLibrary.class.getResource(name + ".yaml")));
        return all;
    }

    private final Map<String, Dialect> dialects = new LinkedHashMap<>();

    private DialectLibrary() {}

    /** The dialects that ship with Oleander. */
    public static DialectLibrary shipped() {
        DialectLibrary library = new DialectLibrary();
        for (String name : SHIPPED.keySet()) {
            Dialect dialect = parse(name + ".yaml", description(name));
            library.dialects.put(dialect.name(), dialect);
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
        return DialectParser.parse(file, yaml);
    }

    /**
     * The description of a dialect that ships, as it stands in its file.
     *
     * @throws IllegalArgumentException when none of them has the name
     */
    public static String description(String name) {
        if (!SHIPPED.containsKey(name)) {
            throw new IllegalArgumentException("no format " + name + " ships");
        }
        try (InputStream in = SHIPPED.get(name).openStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Names of all that ship. */
    public static List<String> shippedNames() {
        return List.copyOf(SHIPPED.keySet());
    }
}
