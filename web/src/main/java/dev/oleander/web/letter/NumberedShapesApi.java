package dev.oleander.web.letter;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.DrawSteps;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.draw.Sizes;
import dev.oleander.web.api.ApiOfWork;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;

/** Shapes by numbers over HTTP; nothing is kept. */
@ApiOfWork
@RequestMapping("/api")
class NumberedShapesApi {

    /**
     * A shape.
     *
     * @param values formulas by their names; those left out are as usual
     */
    record ShapeRequest(String kind, Map<String, String> values) {}

    /** A value as a dimension between two places; the same place: it stands there. */
    record SizeJson(String parameter, String label, double value, double[] from, double[] to) {

        static SizeJson of(Sizes.Size size) {
            return new SizeJson(
                    size.parameter(),
                    size.label(),
                    size.value(),
                    new double[] {size.from().x(), size.from().y()},
                    new double[] {size.to().x(), size.to().y()});
        }
    }

    record ShapeJson(List<ChainJson> contours, List<SizeJson> shown) {}

    /** A kind of shape, and the values that it has. */
    record KindJson(String kind, String label, List<ValueJson> values) {}

    record ValueJson(String name, String label, String otherwise) {}

    /** All kinds. */
    @GetMapping("/shape")
    List<KindJson> kinds() {
        return Commands.list().stream()
                .filter(c -> c.group() == Command.Group.SHAPES)
                .map(
                        c ->
                                new KindJson(
                                        c.word(),
                                        c.label(),
                                        c.parameters().stream()
                                                .map(
                                                        p ->
                                                                new ValueJson(
                                                                        p.name(),
                                                                        p.label(),
                                                                        p.otherwise()))
                                                .toList()))
                .toList();
    }

    @PostMapping("/shape")
    ShapeJson shape(@RequestBody ShapeRequest request) {
        Command command = kind(request.kind());
        Map<String, String> values = new TreeMap<>(Map.of("x", "0", "y", "0"));
        if (request.values() != null) {
            request.values().forEach((name, value) -> put(command, values, name, value));
        }
        DrawStep step = new DrawStep("d1", command.word(), List.of(), values);
        Drawn drawn = new DrawSteps(Map.of()).apply(Drawing.empty("shape"), List.of(step));
        for (Drawn.Trouble trouble : drawn.troubles()) {
            throw DrawException.about(trouble.parameter(), trouble.sentence());
        }
        return new ShapeJson(
                drawn.drawing().entities().stream().map(e -> ChainJson.of(e.chain())).toList(),
                Sizes.of(step, Map.of()).stream().map(SizeJson::of).toList());
    }

    private static void put(
            Command command, Map<String, String> values, String name, String value) {
        if (command.parameters().stream().noneMatch(p -> p.name().equals(name))) {
            throw DrawException.about(
                    name,
                    "%s has no value \"%s\"; it has %s."
                            .formatted(
                                    command.label(),
                                    name,
                                    String.join(
                                            ", ",
                                            command.parameters().stream()
                                                    .map(p -> p.name())
                                                    .toList())));
        }
        if (value != null) {
            values.put(name, value);
        }
    }

    private static Command kind(String word) {
        return Commands.list().stream()
                .filter(c -> c.group() == Command.Group.SHAPES && c.word().equals(word))
                .findFirst()
                .orElseThrow(
                        () ->
                                new DrawException(
                                        "There is no shape \"%s\"; known are %s.",
                                        word,
                                        String.join(
                                                ", ",
                                                Commands.list().stream()
                                                        .filter(
                                                                c ->
                                                                        c.group()
                                                                                == Command.Group
                                                                                        .SHAPES)
                                                        .map(Command::word)
                                                        .toList())));
    }
}
