package dev.oleander.machine;

import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** The machines there are, each with its cut book. */
public final class MachineLibrary {

    private static final List<String> SHIPPED = List.of("teasel", "sorrel", "yarrow", "bracken");

    /** A table of cut data, or what it is computed from, or the table of a wire. */
    private record MachineFile(
            Machine machine,
            List<CutRow> cutBook,
            WaterjetBook.Waterjet waterjet,
            List<WireRow> wireBook) {

        CutBook book() {
            if (wireBook != null) {
                return new CutTable(machine.name(), List.of());
            }
            return waterjet == null
                    ? new CutTable(machine.name(), cutBook)
                    : new WaterjetBook(machine.name(), waterjet);
        }
    }

    private record Entry(Machine machine, CutBook book, WireBook wireBook) {}

    private final Map<String, Entry> entries = new LinkedHashMap<>();

    private MachineLibrary() {}

    /** The machines that ship with Oleander. */
    public static MachineLibrary shipped() {
        MachineLibrary library = new MachineLibrary();
        YAMLMapper mapper =
                YAMLMapper.builder()
                        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                        .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                        .build();
        for (String id : SHIPPED) {
            try (InputStream in = MachineLibrary.class.getResourceAsStream(id + ".yaml")) {
                MachineFile file = mapper.readValue(in, MachineFile.class);
                Machine machine = file.machine();
                List<WireRow> wires = file.wireBook() == null ? List.of() : file.wireBook();
                WireBook wireBook = new WireBook(machine.name(), wires);
                library.entries.put(machine.id(), new Entry(machine, file.book(), wireBook));
            } catch (IOException unreadable) {
                throw new IllegalStateException("machine file " + id, unreadable);
            }
        }
        return library;
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

    /** The book of a wire machine; of others an empty one. */
    public WireBook wireBook(Machine machine) {
        return entries.get(machine.id()).wireBook();
    }

    public CutBook cutBook(Machine machine) {
        return entries.get(machine.id()).book();
    }
}
