package dev.oleander.work.router;

import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.choice.WishValues;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What people set for a whole job on a router. */
final class RouterJobValues {

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
                            .orElse("as the sheet says"),
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
                            .label("Features without an operation", ""));

    private RouterJobValues() {}

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
