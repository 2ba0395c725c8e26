package dev.oleander.machine;

import dev.oleander.book.Book;
import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The machines there are, each with its book. */
public final class MachineLibrary {

    private record Entry(Machine machine, Book<?> book) {}

    private final Map<String, Entry> entries = new LinkedHashMap<>();

    private MachineLibrary() {}

    /** The machines that ship with Oleander, kind by kind. */
    public static MachineLibrary shipped() {
        return of(kinds());
    }

    /** The machines of some kinds of work. */
    public static MachineLibrary of(List<MachineKind> kinds) {
        MachineLibrary library = new MachineLibrary();
        kinds.forEach(kind -> kind.files().forEach(file -> library.add(kind, file)));
        return library;
    }

    /** All that are registered, in that order. */
    public static List<MachineKind> kinds() {
        return ServiceLoader.load(MachineKind.class).stream()
                .map(ServiceLoader.Provider::get)
                .toList();
    }

    private void add(MachineKind kind, URL file) {
        try (InputStream in = file.openStream()) {
            JsonNode all = MachineFiles.MAPPER.readTree(in);
            ObjectNode own = ((ObjectNode) all.get("machine")).deepCopy();
            JsonNode unit = all.path("machine").path(kind.work());
            own.remove(kind.work());
            Machine machine =
                    MachineFiles.MAPPER.treeToValue(own, Machine.class).of(kind, kind.unit(unit));
            entries.put(machine.id(), new Entry(machine, kind.book(machine, all)));
        } catch (IOException unreadable) {
            throw new IllegalStateException("machine file " + file, unreadable);
        }
    }

    public List<Machine> machines() {
        return entries.values().stream().map(Entry::machine).toList();
    }

    /** A machine by its id or its name, in any case. */
    public Optional<Machine> find(String idOrName) {
        return machines().stream()
                .filter(
                        m ->
                                m.id().equalsIgnoreCase(idOrName)
                                        || m.name().equalsIgnoreCase(idOrName))
                .findFirst();
    }

    /** The book of a machine as it ships. */
    public Book<?> book(Machine machine) {
        return entries.get(machine.id()).book();
    }
}
