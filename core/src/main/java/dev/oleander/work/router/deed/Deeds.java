package dev.oleander.work.router.deed;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.value.Source;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Makes operations of what people wish, and for features that no wish names of what rules say. Each
 * value comes from the first that says it: what is set for the feature, the wish, recipes, what is
 * set for all, rules.
 */
public final class Deeds {

    private static final String EVERYTHING = "";

    /** What is done to closed contours besides what rules say. */
    private static final Set<String> BESIDE = Set.of("rest", "chamfer", "follow", "carve");

    private final Reading reading;
    private final RouterChoices choices;
    private final double thickness;
    private final Box stock;
    private final List<Tool> tools;
    private final List<Deed> deeds = new ArrayList<>();
    private final Set<String> names = new HashSet<>();

    private Deeds(
            Reading reading, RouterChoices choices, double thickness, Box stock, List<Tool> tools) {
        this.reading = reading;
        this.choices = choices;
        this.thickness = thickness;
        this.stock = stock;
        this.tools = tools;
    }

    /**
     * @param thickness of the stock, mm
     * @param stock seen from above
     * @param tools that there are
     */
    public static List<Deed> of(
            Reading reading, RouterChoices choices, double thickness, Box stock, List<Tool> tools) {
        Deeds made = new Deeds(reading, choices, thickness, stock, tools);
        choices.operations().forEach(wish -> made.names.add(wish.id()));
        if (!choices.onlyThose()) {
            made.byRules();
        }
        choices.operations().forEach(made::wished);
        return List.copyOf(made.deeds);
    }

    /** What holds for a feature, and where it comes from. */
    private static final class Said {

        private RouterChoice values = RouterChoice.NOTHING;
        private final Map<String, Source> sources = new TreeMap<>();

        /** What is not said yet. */
        Said then(RouterChoice more, Source source) {
            more.values().keySet().forEach(word -> sources.putIfAbsent(word, source));
            values = values.over(more);
            return this;
        }
    }

    // ---- what people wish

    private void wished(Wish wish) {
        List<Feature> features = wish.features().of(reading);
        RouterChoice own = WishValues.of(wish);
        if (features.isEmpty() || isOfStock(wish)) {
            Said said = new Said().then(own, Source.JOB).then(choices.all(), Source.JOB);
            add(wish, 1, true, List.of(), said.values, Map.of(EVERYTHING, said.sources));
            return;
        }
        Map<String, Said> said = new LinkedHashMap<>();
        for (Feature f : features) {
            said.put(
                    f.id(),
                    new Said()
                            .then(choices.of(key(f, wish.id())), Source.HERE)
                            .then(own, Source.JOB)
                            .then(choices.recipeFor(f, wish.kind()), Source.RECIPE)
                            .then(choices.all(), Source.JOB)
                            .then(ofFirst(wish, f), Source.READING)
                            .then(sizeOfTabs(wish), Source.READING));
        }
        grouped(wish, true, said);
    }

    private RouterChoice sizeOfTabs(Wish wish) {
        return RouterKind.CONTOUR.word().equals(wish.kind())
                ? Usual.tabs(thickness)
                : RouterChoice.NOTHING;
    }

    /** A rest is as deep as what has left it. */
    private RouterChoice ofFirst(Wish rest, Feature feature) {
        return deeds.stream()
                .filter(d -> Operation.nameOf(d.id()).equals(rest.restOf()))
                .filter(d -> d.features().contains(feature.id()))
                .findFirst()
                .flatMap(d -> d.values().get(WishValues.DEPTH))
                .map(depth -> RouterChoice.NOTHING.with(WishValues.DEPTH, depth))
                .orElse(RouterChoice.NOTHING);
    }

    private static boolean isOfStock(Wish wish) {
        return "face".equals(wish.kind());
    }

    private static FeatureKey key(Feature feature, String deed) {
        return FeatureKey.of(feature.id()).visit(deed);
    }

    // ---- by rules

    private void byRules() {
        Set<String> named = new HashSet<>();
        for (Wish wish : choices.operations()) {
            if (!isOfStock(wish)) {
                wish.features().of(reading).stream()
                        .filter(f -> !f.isClosed() || !BESIDE.contains(wish.kind()))
                        .forEach(f -> named.add(f.id()));
                Optional.ofNullable(wish.islands())
                        .ifPresent(on -> on.on().of(reading).forEach(f -> named.add(f.id())));
            }
        }
        Usual usual = new Usual(tools, thickness, new DepthTexts(reading));
        Map<String, String> kinds = new HashMap<>();
        Map<String, Map<String, Said>> byKind = new TreeMap<>();
        for (Feature f : outerFirst()) {
            boolean inPocket =
                    f.parent().map(kinds::get).filter(RouterKind.POCKET.word()::equals).isPresent();
            RouterChoice byRule = usual.of(f, inPocket);
            Said said = said(f, byRule);
            String kind = said.values.get(WishValues.WORK).orElseThrow();
            kinds.put(f.id(), kind);
            if (!named.contains(f.id()) && !kind.equals(RouterKind.LEAVE.word())) {
                byKind.computeIfAbsent(kind, k -> new LinkedHashMap<>()).put(f.id(), said);
            }
        }
        byKind.forEach((kind, of) -> grouped(WishValues.empty(free(kind)), false, of));
    }

    private List<Feature> outerFirst() {
        return reading.features().stream()
                .filter(Feature::isWorked)
                .sorted(Comparator.comparingInt(Feature::depth))
                .toList();
    }

    /** What a rule says of a kind is of no use where another one is set. */
    private Said said(Feature f, RouterChoice byRule) {
        String usual = byRule.get(WishValues.WORK).orElseThrow();
        Said said =
                new Said()
                        .then(choices.of(key(f, "")), Source.HERE)
                        .then(choices.recipeFor(f, usual), Source.RECIPE)
                        .then(choices.all(), Source.JOB);
        boolean other = said.values.get(WishValues.WORK).filter(w -> !w.equals(usual)).isPresent();
        return other
                ? said.then(RouterChoice.NOTHING.with(WishValues.DEPTH, "through"), Source.READING)
                : said.then(byRule, Source.READING);
    }

    /** A name that no wish has. */
    private String free(String kind) {
        String name = kind;
        for (int i = 2; !names.add(name); i++) {
            name = kind + i;
        }
        return name;
    }

    // ---- groups of features

    private void grouped(Wish wish, boolean wished, Map<String, Said> said) {
        Map<RouterChoice, List<String>> groups = new LinkedHashMap<>();
        said.forEach((id, of) -> groups.computeIfAbsent(of.values, v -> new ArrayList<>()).add(id));
        int number = 0;
        for (Map.Entry<RouterChoice, List<String>> group : groups.entrySet()) {
            Map<String, Map<String, Source>> sources = new HashMap<>();
            group.getValue().forEach(id -> sources.put(id, said.get(id).sources));
            Wish some =
                    wished && groups.size() == 1
                            ? wish
                            : wish.on(WishValues.contours(group.getValue()));
            add(some, ++number, wished, group.getValue(), group.getKey(), sources);
        }
    }

    private void add(
            Wish wish,
            int number,
            boolean wished,
            List<String> features,
            RouterChoice values,
            Map<String, Map<String, Source>> sources) {
        String id = Operation.id(wish.id(), number);
        Optional<Operation> operation = Optional.empty();
        Optional<String> refusal = Optional.empty();
        try {
            Wish whole = WishValues.with(wish, id, wish.on(), values);
            operation = Optional.of(whole.operation(names(values)));
        } catch (CutDataException unreadable) {
            refusal = Optional.of(unreadable.getMessage());
        }
        String kind = values.get(WishValues.WORK).orElse("");
        deeds.add(new Deed(id, "", wished, kind, features, values, sources, operation, refusal));
    }

    private Map<String, Double> names(RouterChoice values) {
        Optional<Tool> tool =
                values.get(WishValues.TOOL)
                        .flatMap(
                                number ->
                                        tools.stream()
                                                .filter(t -> number.equals("" + t.number()))
                                                .findFirst());
        return Wish.names(thickness, stock.width(), stock.height(), tool);
    }
}
