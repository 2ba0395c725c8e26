package dev.oleander.work.router.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineFiles;
import dev.oleander.machine.MachineKind;
import dev.oleander.work.router.tool.Tool;
import java.net.URL;
import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** Routers: machines whose tools turn, and go down. */
public final class RouterMachines implements MachineKind {

    @Override
    public String work() {
        return "router";
    }

    @Override
    public List<URL> files() {
        return List.of(RouterMachines.class.getResource("hazel.yaml"));
    }

    @Override
    public Map<String, URL> formats() {
        return Map.of("hazel", RouterMachines.class.getResource("hazel-format.yaml"));
    }

    @Override
    public RouterUnit unit(JsonNode given) {
        return MachineFiles.MAPPER.treeToValue(given, RouterUnit.class);
    }

    @Override
    public RouterBook book(Machine machine, JsonNode file) {
        List<FlatTool> tools =
                MachineFiles.MAPPER.convertValue(
                        file.path("tools"), new TypeReference<List<FlatTool>>() {});
        List<ToolRow> rows =
                MachineFiles.MAPPER.convertValue(
                        file.path("toolData"), new TypeReference<List<ToolRow>>() {});
        List<Tool> own = tools.stream().map(FlatTool::tool).toList();
        List<Station> stations =
                MachineFiles.MAPPER.convertValue(
                        file.path("stations"), new TypeReference<List<Station>>() {});
        List<PanelRule> rules =
                MachineFiles.MAPPER.convertValue(
                        file.path("panelRules"), new TypeReference<List<PanelRule>>() {});
        return new RouterBook(
                machine.name(), own, stations, rules == null ? List.of() : rules, rows);
    }
}
