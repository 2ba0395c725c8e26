package dev.oleander.work.pen;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineFiles;
import dev.oleander.machine.MachineKind;
import dev.oleander.machine.MachineUnit;
import java.net.URL;
import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Pen plotters. */
public final class PenMachines implements MachineKind {

    @Override
    public String work() {
        return "pen";
    }

    @Override
    public List<URL> files() {
        return List.of(PenMachines.class.getResource("larkspur.yaml"));
    }

    @Override
    public Map<String, URL> formats() {
        return Map.of("larkspur", PenMachines.class.getResource("larkspur-format.yaml"));
    }

    @Override
    public MachineUnit unit(JsonNode given) {
        return MachineUnit.NONE;
    }

    @Override
    public PenBook book(Machine machine, JsonNode file) {
        return new PenBook(
                machine.name(),
                MachineFiles.MAPPER.convertValue(
                        file.path("pens"), new TypeReference<List<PenBook.Row>>() {}));
    }
}
