package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.drawing.bridge.Bridges;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Contour;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Bridges that hold what would fall out of contours: they are looked for anew whenever the contours
 * change.
 */
final class BridgeCommands {

    /** Lines and arcs of all contours together, so that nobody waits long. */
    private static final int MOST = 12_000;

    /** mm; what is thinner holds nothing in thin sheet. */
    private static final double LEAST = 1;

    private BridgeCommands() {}

    private static final String HAND = "By hand";
    private static final String PLACED = "One at x y, angle, width";

    /** What lies within the contours. */
    private enum Inside implements Worded {
        CUT,
        KEPT
    }

    /** How many. */
    private enum Look implements Worded {
        FEWEST,
        STENCIL
    }

    /** Where bridges should run. */
    private enum Way implements Worded {
        ANY,
        UPRIGHT,
        LEVEL;

        Optional<Double> degrees() {
            return switch (this) {
                case ANY -> Optional.empty();
                case UPRIGHT -> Optional.of(90.0);
                case LEVEL -> Optional.of(0.0);
            };
        }
    }

    static List<Command> all() {
        return List.of(
                new Command(
                                "bridges",
                                "Bridges for islands",
                                Group.CHANGES,
                                Targets.SOME,
                                List.of(
                                        length("width", "Width, 1 at least unless it is said", "t"),
                                        choice("way", "They run", Way.class),
                                        count("each", "For each island", "1"),
                                        choice("inside", "What lies inside is", Inside.class),
                                        choice("look", "Letters are", Look.class),
                                        length("fillet", "Rounded beside them by", "0"),
                                        new Parameter("placed", PLACED, Parameter.Kind.LINES, "")
                                                .in(HAND),
                                        new Parameter(
                                                        "without",
                                                        "None at x y",
                                                        Parameter.Kind.LINES,
                                                        "")
                                                .in(HAND)),
                                BridgeCommands::bridge)
                        .handledBy(new BridgeHandling(BridgeCommands::setting)));
    }

    private static void bridge(Sketch sketch, Args args) {
        List<Entity> closed = closed(sketch, args);
        BridgeHandling.Setting setting = setting(closed, args);
        Bridges.Found found = setting.found();
        if (found.islands() == 0 && found.bridges().isEmpty()) {
            throw new DrawException(
                    setting.inside()
                            ? "What is selected is one piece: there is nothing to join."
                            : "Nothing falls out of what is selected: there is no island.");
        }
        if (!found.misplaced().isEmpty()) {
            throw DrawException.about("placed", found.misplaced().get(0));
        }
        if (!found.findings().isEmpty()) {
            throw DrawException.about("width", found.findings().get(0));
        }
        put(sketch, args.step(), closed, found.contours());
    }

    private static List<Entity> closed(Sketch sketch, Args args) {
        return sketch.targets(args.step()).stream()
                .filter(e -> e.chain() instanceof Contour)
                .toList();
    }

    private static BridgeHandling.Setting setting(Sketch sketch, Args args) {
        return setting(closed(sketch, args), args);
    }

    private static BridgeHandling.Setting setting(List<Entity> closed, Args args) {
        double said = args.positive("width", "The width");
        double width = args.step().values().containsKey("width") ? said : Math.max(LEAST, said);
        int each = args.count("each", "The number for each island", 1);
        Args.require(each <= 2, "each", "%s bridges for an island; there are 1 or 2.", each);
        int elements = closed.stream().mapToInt(e -> e.segments().size()).sum();
        Args.require(
                elements <= MOST,
                "width",
                "%s lines and arcs; bridges are found for %s at once.",
                elements,
                MOST);
        List<Contour> contours = closed.stream().map(e -> (Contour) e.chain()).toList();
        return new BridgeHandling.Setting(
                contours,
                wish(args, width, each),
                args.choice("inside", Inside.class) == Inside.KEPT);
    }

    private static BridgeWish wish(Args args, double width, int each) {
        double fillet = args.within("fillet", "The radius", 0, width / 4);
        return BridgeWish.of(width)
                .along(args.choice("way", Way.class).degrees())
                .each(each)
                .asStencil(args.choice("look", Look.class) == Look.STENCIL)
                .rounded(fillet)
                .byHand(
                        HandText.placed(args.text("placed"), width),
                        HandText.places(args.text("without")));
    }

    /** Contours that no bridge meets stay; the others take each other's place. */
    private static void put(
            Sketch sketch, DrawStep step, List<Entity> before, List<Contour> after) {
        List<Contour> changed = new ArrayList<>(after);
        List<Entity> free = new ArrayList<>();
        for (Entity entity : before) {
            if (!changed.remove(entity.chain())) {
                free.add(entity);
            }
        }
        Entity like = free.get(0);
        for (Contour contour : changed) {
            if (free.isEmpty()) {
                sketch.copy(step, like, contour);
            } else {
                sketch.reshape(free.remove(0), contour);
            }
        }
        free.forEach(sketch::remove);
    }
}
