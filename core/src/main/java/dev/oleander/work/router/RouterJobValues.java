package dev.oleander.work.router;

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
                            RouterJobValues::drop));

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
