package dev.oleander.work.router.book;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.ByThickness;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * The data of a router's tools; between two diameters they are interpolated, beyond them refused.
 *
 * @param tools of the magazine
 * @param panelRules how features of panels are made, in the order in which they are tried
 */
public record RouterBook(
        String machine,
        List<Tool> tools,
        List<Station> stations,
        List<PanelRule> panelRules,
        List<ToolRow> rows)
        implements BookTable<ToolRow, RouterBook> {

    private static final String TOOLS = "tools";
    private static final String STATIONS = "stations";
    private static final String RULES = "rules";

    public RouterBook {
        tools = List.copyOf(tools);
        stations = List.copyOf(stations);
        panelRules = List.copyOf(panelRules);
        rows = List.copyOf(rows);
    }

    /** The tools, where they stand, and how features of panels are made. */
    @Override
    public Map<String, Book<?>> beside() {
        Map<String, Book<?>> tables = new LinkedHashMap<>();
        tables.put(TOOLS, toolTable());
        tables.put(STATIONS, stationTable());
        tables.put(RULES, ruleTable());
        return tables;
    }

    private ToolTable toolTable() {
        return new ToolTable(machine, tools.stream().map(FlatTool::of).toList());
    }

    public StationTable stationTable() {
        return new StationTable(machine, stations);
    }

    private RuleTable ruleTable() {
        return new RuleTable(machine, panelRules);
    }

    /** A change of a row, of a tool, a position or a rule: tools:3, stations:7, rules:2. */
    @Override
    public RouterBook changed(String subject, Optional<JsonNode> after) {
        if (subject.startsWith(TOOLS + ":")) {
            ToolTable changed = toolTable().changed(subject.substring(TOOLS.length() + 1), after);
            return new RouterBook(
                    machine,
                    changed.rows().stream().map(FlatTool::tool).toList(),
                    stations,
                    panelRules,
                    rows);
        }
        if (subject.startsWith(STATIONS + ":")) {
            String position = subject.substring(STATIONS.length() + 1);
            StationTable changed = stationTable().changed(position, after);
            return new RouterBook(machine, tools, changed.rows(), panelRules, rows);
        }
        if (subject.startsWith(RULES + ":")) {
            RuleTable changed = ruleTable().changed(subject.substring(RULES.length() + 1), after);
            return new RouterBook(machine, tools, stations, changed.rows(), rows);
        }
        return BookTable.super.changed(subject, after);
    }

    @Override
    public List<String> words() {
        return List.of();
    }

    @Override
    public BookForm<ToolRow> form() {
        return ToolFields.FORM;
    }

    @Override
    public RouterBook of(List<ToolRow> others) {
        return new RouterBook(machine, tools, stations, panelRules, others);
    }

    @Override
    public Comparator<ToolRow> order(List<ToolRow> all) {
        List<String> materials = all.stream().map(ToolRow::material).distinct().toList();
        List<String> kinds = all.stream().map(ToolRow::kind).distinct().toList();
        return Comparator.comparingInt((ToolRow r) -> materials.indexOf(r.material()))
                .thenComparingInt(r -> kinds.indexOf(r.kind()))
                .thenComparingDouble(ToolRow::diameter);
    }

    /**
     * The data of a tool in a material.
     *
     * @throws CutDataException naming what is missing and what there is
     */
    public ToolRow find(Tool tool, String material) {
        List<ToolRow> own =
                rows.stream()
                        .filter(r -> r.material().equals(material))
                        .filter(r -> r.kind().equals(tool.kind().ofData()))
                        .toList();
        ByThickness<ToolRow> known = new ByThickness<>(own);
        if (!known.reaches(tool.diameter())) {
            throw new CutDataException(missing(tool, material, known));
        }
        return known.at(tool.diameter(), RouterBook::mixed);
    }

    private String missing(Tool tool, String material, ByThickness<ToolRow> known) {
        String there =
                known.isEmpty()
                        ? "none"
                        : "%s to %s mm"
                                .formatted(
                                        Numbers.plain(known.least(), 3),
                                        Numbers.plain(known.most(), 3));
        return "The data of %s for %s tools in %s: %s; tool %d has %s mm."
                .formatted(
                        machine,
                        tool.kind().label(),
                        material,
                        there,
                        tool.number(),
                        Numbers.plain(tool.diameter(), 3));
    }

    private static ToolRow mixed(ByThickness.Between<ToolRow> between) {
        ToolRow low = between.lower();
        return new ToolRow(
                "%s~%s".formatted(low.id(), Numbers.plain(between.thickness(), 3)),
                low.kind(),
                between.thickness(),
                low.material(),
                between.value(ToolRow::cuttingSpeed),
                between.value(ToolRow::chip),
                between.value(ToolRow::chipLeast),
                between.value(ToolRow::chipMost),
                between.value(ToolRow::plungeChip),
                between.value(ToolRow::stepDown),
                between.value(ToolRow::stepOver),
                between.value(ToolRow::peck),
                between.value(ToolRow::kc),
                true);
    }

    /** How much a tool takes at once in a material; as is usual where the book has no data. */
    public CutSteps steps(Tool tool, String material) {
        return row(tool, material)
                .map(r -> new CutSteps(r.stepDown() * tool.diameter(), r.stepOver(), r.peck()))
                .orElseGet(() -> CutSteps.usual(tool));
    }

    /** The data of a tool in a material; empty where the book has none. */
    public Optional<ToolRow> row(Tool tool, String material) {
        try {
            return Optional.of(find(tool, material));
        } catch (CutDataException none) {
            return Optional.empty();
        }
    }
}
