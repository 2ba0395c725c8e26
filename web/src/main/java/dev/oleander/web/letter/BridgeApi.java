package dev.oleander.web.letter;

import dev.oleander.drawing.bridge.Bridge;
import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.drawing.bridge.Bridges;
import dev.oleander.drawing.letter.LetterException;
import dev.oleander.geometry.Contour;
import dev.oleander.web.api.ApiOfWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import tools.jackson.databind.JsonNode;

/** Bridges over HTTP; nothing is kept. */
@ApiOfWork
@RequestMapping("/api/bridges")
class BridgeApi {

    private static final int MOST = 1_000;

    /** Vertices of all contours together: what a request can wait for. */
    private static final int MOST_VERTICES = 4_000;

    private static final double WIDEST = 1_000;

    private static final List<String> KEPT = List.of("outside", "inside");
    private static final List<String> LOOKS = List.of("fewest", "stencil");

    /**
     * What is to be held.
     *
     * @param keep outside: what lies inside an odd number of contours is cut away; inside: it is
     *     kept, and its pieces become one
     * @param width of bridges, mm
     * @param direction vertical, horizontal or degrees; null: none is wished
     * @param perIsland 1 or 2
     * @param look stencil: each letter is held by a strip through its middle; null: as few as hold
     * @param fillet radius beside the ends of bridges, mm; null: none
     */
    record BridgesRequest(
            List<ChainJson> contours,
            String keep,
            Double width,
            JsonNode direction,
            Integer perIsland,
            String look,
            Double fillet) {}

    record BridgeJson(double[] from, double[] to, double width) {

        static BridgeJson of(Bridge bridge) {
            return new BridgeJson(
                    new double[] {bridge.from().x(), bridge.from().y()},
                    new double[] {bridge.to().x(), bridge.to().y()},
                    bridge.width());
        }
    }

    record FoundJson(
            int islands,
            List<BridgeJson> bridges,
            List<ChainJson> contours,
            int keptPieces,
            List<String> findings) {}

    @PostMapping
    FoundJson bridges(@RequestBody BridgesRequest request) {
        if (request.keep() != null && !KEPT.contains(request.keep())) {
            throw new LetterException(
                    "keep is \"%s\"; it is %s.", request.keep(), String.join(" or ", KEPT));
        }
        double width = Objects.requireNonNullElse(request.width(), 0.0);
        if (!(width > 0 && width <= WIDEST)) {
            throw new LetterException(
                    "Bridges of %s mm; they are more than 0 and at most 1,000 mm wide.", width);
        }
        int perIsland = Objects.requireNonNullElse(request.perIsland(), 1);
        if (perIsland < 1 || perIsland > 2) {
            throw new LetterException("%d bridges an island; there are 1 or 2.", perIsland);
        }
        if (request.look() != null && !LOOKS.contains(request.look())) {
            throw new LetterException(
                    "look is \"%s\"; it is %s.", request.look(), String.join(" or ", LOOKS));
        }
        double fillet = Objects.requireNonNullElse(request.fillet(), 0.0);
        if (!(fillet >= 0 && fillet <= width / 4)) {
            throw new LetterException(
                    "Fillets of %s mm; at bridges of %s mm they are 0 to %s mm.",
                    fillet, width, width / 4);
        }
        BridgeWish wish =
                BridgeWish.of(width)
                        .along(direction(request.direction()))
                        .each(perIsland)
                        .asStencil("stencil".equals(request.look()))
                        .rounded(fillet);
        Bridges.Found found =
                "inside".equals(request.keep())
                        ? Bridges.bars(contours(request), wish)
                        : Bridges.of(contours(request), wish);
        return new FoundJson(
                found.islands(),
                found.bridges().stream().map(BridgeJson::of).toList(),
                found.contours().stream().map(ChainJson::of).toList(),
                found.keptPieces(),
                found.findings());
    }

    private static List<Contour> contours(BridgesRequest request) {
        List<ChainJson> sent = request.contours() == null ? List.of() : request.contours();
        if (sent.isEmpty() || sent.size() > MOST) {
            throw new LetterException("%d contours; there are 1 to %d.", sent.size(), MOST);
        }
        long vertices =
                sent.stream().mapToLong(c -> c.vertices() == null ? 0 : c.vertices().size()).sum();
        if (vertices > MOST_VERTICES) {
            throw new LetterException(
                    "%d vertices; there are at most %d.", vertices, MOST_VERTICES);
        }
        List<Contour> contours = new ArrayList<>();
        for (ChainJson one : sent) {
            String what = "Contour " + (contours.size() + 1);
            contours.add((Contour) new ChainJson(one.vertices(), true).chain(what));
        }
        return contours;
    }

    private static Optional<Double> direction(JsonNode sent) {
        if (sent == null || sent.isNull()) {
            return Optional.empty();
        }
        return switch (sent.asString()) {
            case "vertical" -> Optional.of(90.0);
            case "horizontal" -> Optional.of(0.0);
            default -> {
                if (!sent.isNumber()) {
                    throw new LetterException(
                            "direction is \"%s\"; it is vertical, horizontal or degrees.",
                            sent.asString());
                }
                yield Optional.of(sent.asDouble());
            }
        };
    }
}
