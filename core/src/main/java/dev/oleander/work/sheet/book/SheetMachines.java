package dev.oleander.work.sheet.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineFiles;
import dev.oleander.machine.MachineKind;
import dev.oleander.machine.MachineUnit;
import java.net.URL;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Machines that cut sheets, with a table of cut data or with what it is computed from. */
public final class SheetMachines implements MachineKind {

    @Override
    public String work() {
        return "sheet";
    }

    @Override
    public List<URL> files() {
        return Stream.of("teasel", "sorrel", "yarrow")
                .map(id -> SheetMachines.class.getResource(id + ".yaml"))
                .toList();
    }

    @Override
    public Map<String, URL> formats() {
        Map<String, URL> formats = new LinkedHashMap<>();
        formats.put("teasel", SheetMachines.class.getResource("teasel-format.yaml"));
        formats.put("sorrel", SheetMachines.class.getResource("sorrel-format.yaml"));
        formats.put("yarrow", SheetMachines.class.getResource("yarrow-format.yaml"));
        return formats;
    }

    @Override
    public MachineUnit unit(JsonNode given) {
        return MachineUnit.NONE;
    }

    @Override
    public CutBook book(Machine machine, JsonNode file) {
        if (file.has("waterjet")) {
            WaterjetBook.Waterjet jet =
                    MachineFiles.MAPPER.treeToValue(
                            file.get("waterjet"), WaterjetBook.Waterjet.class);
            return new WaterjetBook(machine.name(), jet);
        }
        List<CutRow> rows =
                MachineFiles.MAPPER.convertValue(
                        file.path("cutBook"), new TypeReference<List<CutRow>>() {});
        return new CutTable(machine.name(), machine.process(), rows);
    }
}
