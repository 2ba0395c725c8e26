package dev.oleander.work.router.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.CutDataException;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.quantity.Numbers;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** How a router makes the features of panels; a rule keeps its number. */
public record RuleTable(String machine, List<PanelRule> rows)
        implements BookTable<PanelRule, RuleTable> {

    private static final BookField<PanelRule> NUMBER =
            BookField.above0("number", "Number", "", 999, PanelRule::number).whole();
    private static final BookField<PanelRule> NAME =
            BookField.text("name", "Name", PanelRule::name);
    private static final BookField<PanelRule> KIND =
            BookField.text("kind", "Feature", PanelRule::kind);
    private static final BookField<PanelRule> FACE =
            BookField.text("face", "On", PanelRule::face).silent(PanelRule.ANY);
    private static final BookField<PanelRule> TAG =
            BookField.text("tag", "For", PanelRule::tag).silent(PanelRule.ANY);
    private static final BookField<PanelRule> FROM =
            BookField.from0("from", "From", "mm", 10_000, PanelRule::from).silent("0");
    private static final BookField<PanelRule> TO =
            BookField.from0("to", "To", "mm", 10_000, PanelRule::to).silent("0");
    private static final BookField<PanelRule> DEPTH =
            BookField.text("depth", "Depth", PanelRule::depth).silent(PanelRule.ANY);
    private static final BookField<PanelRule> DEPTH_FROM =
            BookField.from0("depthFrom", "Depth from", "mm", 1_000, PanelRule::depthFrom)
                    .silent("0");
    private static final BookField<PanelRule> DEPTH_TO =
            BookField.from0("depthTo", "Depth to", "mm", 1_000, PanelRule::depthTo).silent("0");
    private static final BookField<PanelRule> STOCK =
            BookField.text("stock", "Material", PanelRule::stock).silent(PanelRule.ANY);
    private static final BookField<PanelRule> THINNEST =
            BookField.from0("thinnest", "Thickness from", "mm", 1_000, PanelRule::thinnest)
                    .silent("0");
    private static final BookField<PanelRule> THICKEST =
            BookField.from0("thickest", "Thickness to", "mm", 1_000, PanelRule::thickest)
                    .silent("0");
    private static final BookField<PanelRule> SHOWN =
            BookField.text("shown", "Face", PanelRule::shown).silent(PanelRule.ANY);
    private static final BookField<PanelRule> RANK =
            BookField.from0("rank", "Rank", "", 99, PanelRule::rank).whole().silent("0");
    private static final BookField<PanelRule> FORM_OF =
            BookField.text("form", "Drawn as", PanelRule::form).silent(PanelRule.ANY);
    private static final BookField<PanelRule> OPERATION =
            BookField.text("operation", "Made by", PanelRule::operation);
    private static final BookField<PanelRule> TOOL =
            BookField.from0("tool", "Tool", "", 999, PanelRule::tool).whole().silent("0");
    private static final BookField<PanelRule> VALUES =
            BookField.text("values", "With", PanelRule::values).silent(PanelRule.ANY);

    private static final BookForm<PanelRule> FORM =
            BookForm.of(
                    PanelRule.class,
                    List.of(
                            NUMBER,
                            NAME,
                            KIND,
                            FACE,
                            TAG,
                            FROM,
                            TO,
                            DEPTH,
                            DEPTH_FROM,
                            DEPTH_TO,
                            FORM_OF,
                            STOCK,
                            THINNEST,
                            THICKEST,
                            SHOWN,
                            OPERATION,
                            TOOL,
                            VALUES,
                            RANK),
                    List.of(NUMBER),
                    RuleTable::read);

    private static final List<String> OPERATIONS =
            List.of(
                    "edgeDrill",
                    "drill",
                    "bore",
                    "pocket",
                    "groove",
                    "contour",
                    "follow",
                    "slot",
                    "chamfer");

    public RuleTable {
        rows = List.copyOf(rows);
    }

    private static PanelRule read(BookForm.Given given) {
        int number = (int) given.number(NUMBER);
        if (!given.id().equals(String.valueOf(number))) {
            throw new CutDataException(
                    "Rule %s keeps its number; copy it to make rule %d."
                            .formatted(given.id(), number));
        }
        PanelRule rule =
                new PanelRule(
                        number,
                        given.text(NAME),
                        given.text(KIND),
                        given.text(FACE),
                        given.text(TAG),
                        given.number(FROM),
                        given.number(TO),
                        given.text(DEPTH),
                        given.number(DEPTH_FROM),
                        given.number(DEPTH_TO),
                        given.text(FORM_OF),
                        given.text(STOCK),
                        given.number(THINNEST),
                        given.number(THICKEST),
                        given.text(SHOWN),
                        given.text(OPERATION),
                        (int) given.number(TOOL),
                        given.text(VALUES),
                        (int) given.number(RANK));
        return checked(rule);
    }

    private static PanelRule checked(PanelRule rule) {
        List<String> kinds =
                Stream.concat(
                                Stream.of(PanelRule.ANY),
                                Arrays.stream(FeatureKind.values()).map(FeatureKind::word))
                        .toList();
        one("feature", rule.kind(), kinds);
        one("face", rule.face(), List.of(PanelRule.ANY, "top", "bottom", "edge"));
        one("depth", rule.depth(), List.of(PanelRule.ANY, "blind", "through"));
        one("form", rule.form(), List.of(PanelRule.ANY, "line", "area"));
        one("shown", rule.shown(), List.of(PanelRule.ANY, "seen", "unseen"));
        one("operation", rule.operation(), OPERATIONS);
        rule.rest();
        some(rule, "sizes", rule.from(), rule.to());
        some(rule, "depths", rule.depthFrom(), rule.depthTo());
        some(rule, "thicknesses", rule.thinnest(), rule.thickest());
        return rule;
    }

    private static void some(PanelRule rule, String what, double from, double to) {
        if (to > 0 && to < from) {
            throw new CutDataException(
                    "Rule %d is for %s from %s to %s mm: there are none."
                            .formatted(
                                    rule.number(),
                                    what,
                                    Numbers.plain(from, 3),
                                    Numbers.plain(to, 3)));
        }
    }

    private static void one(String what, String word, List<String> known) {
        if (!known.contains(word)) {
            throw new CutDataException(
                    "The %s of a rule is \"%s\"; known are %s."
                            .formatted(what, word, String.join(", ", known)));
        }
    }

    @Override
    public List<String> words() {
        return List.of();
    }

    @Override
    public BookForm<PanelRule> form() {
        return FORM;
    }

    @Override
    public RuleTable of(List<PanelRule> others) {
        return new RuleTable(machine, others);
    }

    @Override
    public Comparator<PanelRule> order(List<PanelRule> all) {
        return Comparator.comparingInt(PanelRule::number);
    }
}
