package dev.oleander.work.router;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.plan.bed.KeepOutText;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Wish;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What people set for a whole job on a router. */
final class RouterJobValues {

    /** Operations that can be put to contours one by one. */
    static final List<String> KINDS =
            Stream.concat(Stream.of("rest"), RouterKind.deeds().stream().map(RouterKind::word))
                    .toList();

    private static final Map<String, String> PLACES =
            Map.of(
                    "-x -y", "lower left",
                    "-y", "below",
                    "x -y", "lower right",
                    "-x", "left",
                    "centre", "middle",
                    "x", "right",
                    "-x y", "upper left",
                    "y", "above",
                    "x y", "upper right");

    static final List<Value<RouterChoices>> ALL =
            List.of(
                    Value.<RouterChoices>listed(
                                    "zero",
                                    "place of the zero",
                                    jobs -> places(),
                                    choices -> choices.zero().at(),
                                    (choices, at) ->
                                            choices.withZero(
                                                    new RouterZero(at, choices.zero().z())))
                            .label("Zero on the stock", "")
                            .orElse("sheet"),
                    Value.<RouterChoices>listed(
                                    "zeroHeight",
                                    "height of the zero",
                                    jobs ->
                                            List.of(
                                                    new Word("top", "top of the stock"),
                                                    new Word("table", "table")),
                                    choices -> choices.zero().z(),
                                    (choices, z) ->
                                            choices.withZero(
                                                    new RouterZero(choices.zero().at(), z)))
                            .label("Zero height", "")
                            .usually(job -> Optional.of("top")),
                    Value.<RouterChoices>text(
                                    "pods",
                                    "pods",
                                    choices -> KeepOutText.writeFlat(choices.pods()),
                                    (choices, entry) ->
                                            choices.withPods(KeepOutText.readFlat(entry, "pod")))
                            .label("Pods", "mm")
                            .orElse("a board"),
                    words(
                            WishValues.SHOWN,
                            "side that is seen",
                            "Seen afterwards",
                            new Word("none", "neither side"),
                            new Word("top", "the top")),
                    words(
                            WishValues.GRAIN,
                            "grain of the stock",
                            "Grain",
                            new Word("none", "none"),
                            new Word("x", "along X"),
                            new Word("y", "along Y")),
                    forAll(WishValues.STEP_DOWN, "step down", 0.01, 500, "Step down", "mm"),
                    forAll(WishValues.ALLOWANCE, "allowance", 0, 500, "Left at walls", "mm"),
                    Value.<RouterChoices>yesOrNo(
                                    "onlyOperations",
                                    "features without an operation",
                                    List.of(
                                            new Word("true", "are left alone"),
                                            new Word("false", "are worked by rules")),
                                    RouterChoices::onlyThose,
                                    (choices, only) ->
                                            choices.withOperations(
                                                    choices.operations(),
                                                    Boolean.TRUE.equals(only)))
                            .label("Other contours", ""),
                    Value.text(
                            "addOperation", "operation besides", all -> "", RouterJobValues::add),
                    Value.text(
                            "dropOperation",
                            "operation taken out",
                            all -> "",
                            RouterJobValues::drop),
                    Value.text("chain", "tools of a pocket", all -> "", RouterJobValues::chain));

    private RouterJobValues() {}

    /**
     * @param entry kind and ids of contours, between commas; of a rest also the name of the
     *     operation that has left it: rest c3,c4 pocket
     */
    private static RouterChoices add(RouterChoices choices, Entry entry) {
        if (entry.isEmpty()) {
            return choices;
        }
        String[] words = entry.text().split("\\s+");
        boolean known = KINDS.contains(words[0]) && words.length >= 2 && words.length <= 3;
        if (!known || words[0].equals("rest") != (words.length == 3)) {
            throw new ValueException(
                    "\"%s\" is no operation: one of %s, then contours."
                            .formatted(entry.text(), String.join(", ", KINDS)));
        }
        Wish.Place on = WishValues.contours(Arrays.asList(words[1].split(",")));
        RouterChoice values = RouterChoice.NOTHING.with(WishValues.WORK, words[0]);
        Wish begun = WishValues.empty(free(choices, words[0]));
        Wish of = words.length == 3 ? begun.restOf(words[2]) : begun;
        List<Wish> all = new ArrayList<>(choices.operations());
        all.add(WishValues.with(of, of.id(), on, values));
        return choices.withOperations(all, choices.onlyThose());
    }

    /**
     * Clears a pocket with one tool after the other.
     *
     * @param entry id of the contour, name of the operation, then the numbers of the tools
     */
    private static RouterChoices chain(RouterChoices choices, Entry entry) {
        if (entry.isEmpty()) {
            return choices;
        }
        String[] words = entry.text().split("\\s+");
        List<String> tools = Arrays.asList(words).subList(Math.min(2, words.length), words.length);
        if (tools.isEmpty() || !tools.stream().allMatch(t -> t.matches("\\d{1,6}"))) {
            throw new ValueException(
                    "\"%s\" is no chain of tools: a contour, an operation, and numbers of tools."
                            .formatted(entry.text()));
        }
        String contour = words[0];
        String name = words[1];
        boolean wished = choices.operations().stream().anyMatch(w -> w.id().equals(name));
        String key = FeatureKey.of(contour).visit(wished ? name : "").text();
        RouterChoice first =
                choices.stops()
                        .getOrDefault(key, RouterChoice.NOTHING)
                        .with(WishValues.TOOL, tools.get(0));
        RouterChoices chained = withoutRests(choices, contour, name).withStop(key, first);
        String before = name;
        for (String tool : tools.subList(1, tools.size())) {
            String id = free(chained, "rest");
            RouterChoice values =
                    RouterChoice.NOTHING.with(WishValues.WORK, "rest").with(WishValues.TOOL, tool);
            Wish.Place on = WishValues.contours(List.of(contour));
            List<Wish> all = new ArrayList<>(chained.operations());
            all.add(WishValues.with(WishValues.empty(id).restOf(before), id, on, values));
            chained = chained.withOperations(all, chained.onlyThose());
            before = id;
        }
        return chained;
    }

    /** Without what takes the rest of an operation on one contour, and the rests of that. */
    private static RouterChoices withoutRests(RouterChoices choices, String contour, String name) {
        List<Wish> left = new ArrayList<>();
        Set<String> gone = new HashSet<>(Set.of(name));
        for (Wish wish : choices.operations()) {
            boolean here = wish.on() != null && List.of(contour).equals(wish.on().contours());
            if (here && wish.restOf() != null && gone.contains(wish.restOf())) {
                gone.add(wish.id());
            } else {
                left.add(wish);
            }
        }
        return choices.withOperations(left, choices.onlyThose());
    }

    private static String free(RouterChoices choices, String kind) {
        Set<String> taken = choices.operations().stream().map(Wish::id).collect(Collectors.toSet());
        return IntStream.iterate(1, i -> i + 1)
                .mapToObj(i -> kind + "-" + i)
                .filter(id -> !taken.contains(id))
                .findFirst()
                .orElseThrow();
    }

    private static RouterChoices drop(RouterChoices choices, Entry entry) {
        if (entry.isEmpty()) {
            return choices;
        }
        List<Wish> left =
                choices.operations().stream().filter(w -> !w.id().equals(entry.text())).toList();
        if (left.size() == choices.operations().size()) {
            throw new ValueException("There is no operation \"%s\".".formatted(entry.text()));
        }
        return choices.withOperations(left, choices.onlyThose());
    }

    private static List<Word> places() {
        return RouterZero.PLACES.stream().map(p -> new Word(p, PLACES.get(p))).toList();
    }

    /** Where nobody says anything, the first of the words holds. */
    private static Value<RouterChoices> words(
            String word, String name, String label, Word... words) {
        return Value.<RouterChoices>listed(
                        word,
                        name,
                        jobs -> List.of(words),
                        choices -> choices.all().get(word).orElse(null),
                        (choices, text) ->
                                choices.withAll(
                                        choices.all()
                                                .with(
                                                        word,
                                                        RouterStopValues.required(
                                                                name, text, words))))
                .label(label, "")
                .usually(job -> Optional.of(words[0].value()));
    }

    private static Value<RouterChoices> forAll(
            String word, String name, double least, double most, String label, String unit) {
        return Value.number(
                        word,
                        name,
                        Value.<RouterChoices>between(least, most),
                        choices -> choices.all().get(word).map(t -> new Typed(t, 0)).orElse(null),
                        (choices, typed) ->
                                choices.withAll(
                                        choices.all()
                                                .with(word, typed == null ? null : typed.text())))
                .label(label, unit);
    }
}
