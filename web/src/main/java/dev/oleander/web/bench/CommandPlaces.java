package dev.oleander.web.bench;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Parameter;
import java.util.List;
import java.util.Map;

/** The places that drawing commands ask for on the table, and the values that follow from them. */
final class CommandPlaces {

    private CommandPlaces() {}

    /** What a place gives for a value; the first place is that of the same command. */
    enum Gives {
        /** its own x and y, as typed */
        X,
        Y,
        /** from the first place to it */
        DX,
        DY,
        DISTANCE,
        TWICE_THE_DISTANCE,
        DIRECTION,
        /** of a line across the way from the first place to it */
        ACROSS,
        /** turned from the place before it, round the first one */
        SWEEP
    }

    /**
     * A place.
     *
     * @param asks what is asked for: the centre
     * @param gives by the name of the value
     */
    record Place(String asks, Map<String, Gives> gives) {}

    private static final List<Place> ENDS =
            List.of(at("the first end", "x1", "y1"), at("the other end", "x2", "y2"));
    private static final List<Place> SHIFT =
            List.of(
                    nothing("where from"),
                    new Place("where to", Map.of("dx", Gives.DX, "dy", Gives.DY)));
    private static final List<Place> CORNER = List.of(at("the corner"));

    private static final Map<String, List<Place>> OF =
            Map.ofEntries(
                    Map.entry("line", ENDS),
                    Map.entry(
                            "arc",
                            List.of(
                                    at("the first end", "x1", "y1"),
                                    at("a place on the arc", "x2", "y2"),
                                    at("the other end", "x3", "y3"))),
                    Map.entry(
                            "arc-centre",
                            List.of(
                                    at("the centre"),
                                    new Place(
                                            "the start",
                                            Map.of(
                                                    "radius",
                                                    Gives.DISTANCE,
                                                    "from",
                                                    Gives.DIRECTION)),
                                    new Place("the end", Map.of("sweep", Gives.SWEEP)))),
                    Map.entry("arc-radius", ENDS),
                    Map.entry(
                            "circle",
                            List.of(
                                    at("the centre"),
                                    new Place(
                                            "a place on the circle",
                                            Map.of("diameter", Gives.TWICE_THE_DISTANCE)))),
                    Map.entry(
                            "rectangle",
                            List.of(
                                    at("a corner"),
                                    new Place(
                                            "the corner across",
                                            Map.of("width", Gives.DX, "height", Gives.DY)))),
                    Map.entry(
                            "slot",
                            List.of(
                                    at("the centre"),
                                    new Place(
                                            "one end",
                                            Map.of(
                                                    "length",
                                                    Gives.TWICE_THE_DISTANCE,
                                                    "turn",
                                                    Gives.DIRECTION)))),
                    Map.entry(
                            "polygon",
                            List.of(
                                    at("the centre"),
                                    new Place(
                                            "the middle of a side",
                                            Map.of(
                                                    "flats",
                                                    Gives.TWICE_THE_DISTANCE,
                                                    "turn",
                                                    Gives.ACROSS)))),
                    Map.entry("move", SHIFT),
                    Map.entry("copy", SHIFT),
                    Map.entry(
                            "rows",
                            List.of(
                                    nothing("where from"),
                                    new Place(
                                            "the next one",
                                            Map.of("dx", Gives.DX, "dy", Gives.DY)))),
                    Map.entry(
                            "mirror",
                            List.of(
                                    at("one end of the axis", "x1", "y1"),
                                    at("the other end", "x2", "y2"))),
                    Map.entry(
                            "dimension",
                            List.of(at("one end", "x1", "y1"), at("the other end", "x2", "y2"))),
                    Map.entry("trim", List.of(at("the stretch to take away"))),
                    Map.entry("extend", List.of(at("the end to extend"))),
                    Map.entry("split", List.of(at("where to split"))),
                    Map.entry(
                            "stretch",
                            List.of(
                                    at("one end of the stretch", "x1", "y1"),
                                    at("its other end", "x2", "y2"),
                                    at("a place that it goes over"))),
                    Map.entry("fillet", CORNER),
                    Map.entry("chamfer", CORNER),
                    Map.entry("meet", CORNER));

    private static Place at(String asks) {
        return at(asks, "x", "y");
    }

    private static Place at(String asks, String x, String y) {
        return new Place(asks, Map.of(x, Gives.X, y, Gives.Y));
    }

    private static Place nothing(String asks) {
        return new Place(asks, Map.of());
    }

    /** In the order in which they are asked for; what lies somewhere asks where. */
    static List<Place> of(Command command) {
        boolean lies = command.parameters().stream().anyMatch(p -> p.kind() == Parameter.Kind.X);
        return OF.getOrDefault(command.word(), lies ? List.of(at("where it lies")) : List.of());
    }
}
