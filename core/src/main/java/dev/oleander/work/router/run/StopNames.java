package dev.oleander.work.router.run;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.plan.RouterStop;
import java.util.Map;
import java.util.Optional;

/** What stops of a router are called on the run line. */
final class StopNames {

    private static final Map<String, String> WORDS =
            Map.ofEntries(
                    Map.entry("pocket", "Pocket"),
                    Map.entry("rest", "Rest"),
                    Map.entry("follow", "Line"),
                    Map.entry("slot", "Slot"),
                    Map.entry("groove", "Groove"),
                    Map.entry("carve", "Carving"),
                    Map.entry("chamfer", "Slope"),
                    Map.entry("face", "Top"));

    private StopNames() {}

    /**
     * @param feature what it is done to, or the first of those
     */
    static String of(RouterStop stop, Deed deed, Feature feature) {
        String what = what(stop, deed, feature) + (stop.skin() ? ", skin" : "");
        String name = (deed.deed() + level(stop)).strip();
        return name.isEmpty() ? what : "%s: %s".formatted(name, what);
    }

    /** Of one that is cut with others level by level. */
    private static String level(RouterStop stop) {
        return stop.stage().above().isPresent() && stop.isDone()
                ? " to %s mm".formatted(Numbers.plain(stop.levels().get(0), 2))
                : "";
    }

    private static String what(RouterStop stop, Deed deed, Feature feature) {
        String kind = deed.kind();
        String of = FeatureNames.of(feature);
        if (kind.equals("drill") || kind.equals("bore")) {
            String holes = kind.equals("bore") ? "bored holes" : "holes";
            int count = Math.max(stop.figures().visits().size(), stop.features().size());
            String diameter = Numbers.plain(diameter(stop, feature), 2);
            return count > 1
                    ? "%d %s Ø %s".formatted(count, holes, diameter)
                    : "%s Ø %s".formatted(kind.equals("bore") ? "Bored hole" : "Hole", diameter);
        }
        if (kind.equals("edgeDrill")) {
            return edge(stop);
        }
        if (kind.equals("carve")) {
            boolean flat = stop.tool().filter(t -> t.kind().isFlat()).isPresent();
            return flat ? "Floor of the carving" : "Carving";
        }
        if (kind.equals("face")) {
            return "Top of the stock";
        }
        String word = isBevel(deed) ? "Edge" : WORDS.get(kind);
        return word == null || of.startsWith(word) ? of : word + ", " + of;
    }

    private static String edge(RouterStop stop) {
        int count = stop.features().size();
        String diameter = stop.tool().map(t -> " Ø " + Numbers.plain(t.diameter(), 2)).orElse("");
        String looks =
                stop.tool()
                        .flatMap(t -> t.kind().looks())
                        .map(face -> " in the edge on the %s".formatted(face.label()))
                        .orElse(" in an edge");
        return (count == 1 ? "Hole" : count + " holes") + diameter + looks;
    }

    private static boolean isBevel(Deed deed) {
        return deed.operation().filter(o -> o.what() instanceof Bevel).isPresent();
    }

    private static double diameter(RouterStop stop, Feature feature) {
        Optional<Double> drawn =
                feature.circleDiameter().isPresent()
                        ? Optional.of(feature.circleDiameter().getAsDouble())
                        : Optional.empty();
        return drawn.or(() -> stop.tool().map(t -> t.diameter())).orElse(0.0);
    }
}
