package dev.oleander.web.library;

import dev.oleander.work.sheet.book.CutRow;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The rows of a material, in the order of the book. */
public record MaterialRows(String material, List<CutRow> rows) {

    static List<MaterialRows> of(List<CutRow> rows) {
        Map<String, List<CutRow>> byMaterial = new LinkedHashMap<>();
        rows.forEach(r -> byMaterial.computeIfAbsent(r.material(), m -> new ArrayList<>()).add(r));
        return byMaterial.entrySet().stream()
                .map(e -> new MaterialRows(e.getKey(), e.getValue()))
                .toList();
    }
}
