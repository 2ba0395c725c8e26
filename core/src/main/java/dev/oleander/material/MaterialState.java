package dev.oleander.material;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which pieces a run sets free, and when.
 *
 * @param pieces by the moment at which their outlines are closed; those that tabs hold too
 */
public record MaterialState(List<FreePiece> pieces) {

    public MaterialState {
        pieces = List.copyOf(pieces);
    }

    public static MaterialState of(Reading reading, Run run, Timeline timeline) {
        return new Work(reading, run, timeline).state();
    }

    /** Pieces that are free at a moment: closed before it, and not held. */
    public List<FreePiece> freeAt(double moment) {
        return pieces.stream().filter(p -> p.moment() <= moment && p.rest() != Rest.HELD).toList();
    }

    /** Goes through the stops once. */
    private static final class Work {
        private final Run run;
        private final Timeline timeline;
        private final Map<String, Feature> features;
        private final Map<String, Part> parts = new HashMap<>();
        private final Map<String, List<Feature>> inside = new HashMap<>();
        private final Map<Integer, Transform> placed = new HashMap<>();
        private final Slats slats;

        Work(Reading reading, Run run, Timeline timeline) {
            this.run = run;
            this.timeline = timeline;
            this.features = reading.byId();
            reading.parts().forEach(p -> parts.put(p.outline(), p));
            for (Feature feature : reading.features()) {
                feature.parent()
                        .filter(p -> feature.isClosed())
                        .ifPresent(
                                p ->
                                        inside.computeIfAbsent(p, k -> new ArrayList<>())
                                                .add(feature));
            }
            placed.putAll(run.layout().transforms());
            this.slats = new Slats(run.machine().habits().slatPitch());
        }

        MaterialState state() {
            Map<String, Integer> closing = closing();
            List<FreePiece> pieces = new ArrayList<>();
            for (Stop stop : run.stops()) {
                Integer item = closing.get(stop.id());
                if (item != null) {
                    piece(stop, item).ifPresent(pieces::add);
                }
            }
            return new MaterialState(
                    held(pieces, closing).stream()
                            .sorted(Comparator.comparingInt(FreePiece::item))
                            .toList());
        }

        /** Tabs hold what hangs together with the skeleton by them, nothing else. */
        private List<FreePiece> held(List<FreePiece> pieces, Map<String, Integer> closing) {
            List<FreePiece> tabbed = pieces.stream().filter(p -> p.rest() == Rest.HELD).toList();
            if (tabbed.isEmpty()) {
                return pieces;
            }
            Map<String, Integer> loose =
                    new HeldPieces(run, timeline.program(), closing).loose(tabbed);
            return pieces.stream()
                    .map(
                            p -> {
                                Integer by = loose.get(p.stop().id());
                                return by == null
                                        ? p
                                        : p.freedBy(
                                                by, timeline.ends()[by], slats.under(p.region()));
                            })
                    .toList();
        }

        /** By stop, the last move of its contour itself, without over-run and lead-out. */
        private Map<String, Integer> closing() {
            Map<String, Integer> ends = new HashMap<>();
            for (Stop stop : run.stops()) {
                if (stop.kind() == Stop.Kind.PROFILE && features.get(stop.feature()).isClosed()) {
                    stop.path()
                            .ifPresent(
                                    p -> ends.put(stop.id(), p.leadIn().size() + p.main().size()));
                }
            }
            Map<String, Integer> closing = new HashMap<>();
            List<Item> items = timeline.program().items();
            for (int i = 0; i < items.size(); i++) {
                if (items.get(i) instanceof Item.Feed feed && feed.on()) {
                    String stop = feed.origin().stop();
                    if (feed.origin().segment() < ends.getOrDefault(stop, 0)) {
                        closing.put(stop, i);
                    }
                }
            }
            return closing;
        }

        private Optional<FreePiece> piece(Stop stop, int item) {
            Transform transform = placed.get(stop.copy());
            Part part = parts.get(stop.feature());
            boolean kept = part != null;
            Region drawn = kept ? part.region() : waste(features.get(stop.feature()));
            double area = kept ? drawn.area() : wasteArea(drawn, stop.way().width());
            if (area <= 0) {
                // nothing but kerf
                return Optional.empty();
            }
            Region region = drawn.transformed(transform);
            Rest rest = stop.tabs().isEmpty() ? slats.under(region) : Rest.HELD;
            double moment = timeline.ends()[item];
            return Optional.of(new FreePiece(stop, kept, item, moment, region, area, rest));
        }

        /** What falls out of an opening: all of it but the parts that lie in it. */
        private Region waste(Feature opening) {
            List<Contour> islands =
                    inside.getOrDefault(opening.id(), List.of()).stream()
                            .map(Feature::contour)
                            .toList();
            return new Region(opening.contour(), islands);
        }

        /**
         * The kerf takes a strip along the outline and round each island: A - L k + pi k^2 and A +
         * L k + pi k^2 for their parallels (J. Steiner, 1840), exact for convex ones.
         */
        private static double wasteArea(Region drawn, double kerf) {
            double round = Math.PI * kerf * kerf;
            double area = drawn.outer().area() - drawn.outer().length() * kerf + round;
            for (Contour island : drawn.openings()) {
                area -= island.area() + island.length() * kerf + round;
            }
            return drawn.outer().area() <= drawn.outer().length() * kerf / 2 ? 0 : area;
        }
    }
}
