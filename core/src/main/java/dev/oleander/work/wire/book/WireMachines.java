package dev.oleander.work.wire.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineFiles;
import dev.oleander.machine.MachineKind;
import java.net.URL;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Machines that cut with a wire. */
public final class WireMachines implements MachineKind {

    @Override
    public String work() {
        return "wire";
    }

    @Override
    public List<URL> files() {
        return List.of(WireMachines.class.getResource("bracken.yaml"));
    }

    @Override
    public Map<String, URL> formats() {
        Map<String, URL> formats = new LinkedHashMap<>();
        formats.put("bracken", WireMachines.class.getResource("bracken-format.yaml"));
        return formats;
    }

    @Override
    public WireUnit unit(JsonNode given) {
        return MachineFiles.MAPPER.treeToValue(given, WireUnit.class);
    }

    @Override
    public WireBook book(Machine machine, JsonNode file) {
        List<WireRow> rows =
                MachineFiles.MAPPER.convertValue(
                        file.path("wireBook"), new TypeReference<List<WireRow>>() {});
        return new WireBook(machine.name(), rows);
    }
}
