package dev.oleander.work.router;

import dev.oleander.book.RowText;
import dev.oleander.work.router.book.PanelRule;
import dev.oleander.work.router.book.RuleTable;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Rules that differ from others in some values. */
final class PanelRules {

    private PanelRules() {}

    /** Read as the form of rules reads it. */
    static PanelRule with(PanelRule rule, Map<String, Object> values) {
        RuleTable table = new RuleTable("hazel", List.of(rule));
        Map<String, String> text = new TreeMap<>(table.form().write(rule).values());
        values.forEach((word, value) -> text.put(word, value.toString()));
        return table.form().read(rule.id(), new RowText(text));
    }
}
