package dev.oleander.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.geometry.fit.Flattener;
import dev.oleander.material.Cohesion.Swath;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.TabHold;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;

/**
 * Which pieces that have tabs are really held: those that hang together with the skeleton when all
 * swaths are taken from the sheet. A tab that ends in the kerf of a neighbour holds nothing; two
 * parts that hold each other and nothing else come free together.
 */
final class HeldPieces {

    /** mm; how far chords may leave arcs. */
    private static final double CHORD = 5e-3;

    /** mm; a web narrower than this burns away. */
    private static final double LEAST_WEB = 0.05;

    private final Run run;
    private final Program program;
    private final Map<String, Integer> closing;

    /**
     * @param closing by stop, position of the move that closes its contour
     */
    HeldPieces(Run run, Program program, Map<String, Integer> closing) {
        this.run = run;
        this.program = program;
        this.closing = closing;
    }

    /**
     * Of pieces with tabs those that come free all the same.
     *
     * @return by stop, position of the move after which they are free
     */
    Map<String, Integer> loose(List<FreePiece> tabbed) {
        Map<String, Decisive> decide = decisive(tabbed);
        if (decide.isEmpty()) {
            return Map.of();
        }
        Cohesion cohesion = Cohesion.of(run.layout().stock(), swaths(decide), List.of(), LEAST_WEB);
        Map<Integer, List<FreePiece>> together = new TreeMap<>();
        Map<String, Integer> loose = new HashMap<>();
        FlatShapes flat = new FlatShapes(CHORD);
        for (FreePiece piece : tabbed) {
            OptionalInt component = cohesion.componentOf(flat.polygon(piece.region()));
            if (component.isEmpty()) {
                loose.put(piece.stop().id(), piece.item());
            } else if (!cohesion.reachesEdge(component.getAsInt())) {
                together.computeIfAbsent(component.getAsInt(), c -> new ArrayList<>()).add(piece);
            }
        }
        for (List<FreePiece> pieces : together.values()) {
            int last = last(pieces, decide);
            pieces.forEach(p -> loose.put(p.stop().id(), last));
        }
        return loose;
    }

    /**
     * What other cuts decide about a piece: what its tabs face is gone after the last of them; what
     * lies round it falls with it after the first.
     */
    private record Decisive(List<Stop> facing, List<Stop> around) {

        Stream<Stop> all() {
            return Stream.concat(facing.stream(), around.stream());
        }
    }

    /** The cut after which nothing holds a group of pieces any more. */
    private int last(List<FreePiece> pieces, Map<String, Decisive> decide) {
        int own = 0;
        int faced = 0;
        int around = Integer.MAX_VALUE;
        for (FreePiece piece : pieces) {
            own = Math.max(own, piece.item());
            Decisive others = decide.get(piece.stop().id());
            if (others != null) {
                for (Stop stop : others.facing()) {
                    faced = Math.max(faced, closing.getOrDefault(stop.id(), 0));
                }
                for (Stop stop : others.around()) {
                    around = Math.min(around, closing.get(stop.id()));
                }
            }
        }
        int first = faced == 0 ? around : Math.min(faced, around);
        return Math.max(own, first == Integer.MAX_VALUE ? 0 : first);
    }

    /** By stop of a piece; none where its tabs surely hold. */
    private Map<String, Decisive> decisive(List<FreePiece> tabbed) {
        TabHold hold = TabHold.ofCuts(run.stops());
        List<Stop> largestFirst =
                run.stops().stream()
                        .filter(s -> closing.containsKey(s.id()))
                        .sorted(Comparator.comparingDouble((Stop s) -> -size(s)))
                        .toList();
        Map<String, Decisive> decide = new HashMap<>();
        for (FreePiece piece : tabbed) {
            List<Stop> around = piece.kept() ? around(piece, largestFirst) : List.of();
            Decisive others = new Decisive(hold.facing(piece.stop()), around);
            if (others.all().findAny().isPresent()) {
                decide.put(piece.stop().id(), others);
            }
        }
        return decide;
    }

    private static double size(Stop stop) {
        Box box = box(stop);
        return box.width() * box.height();
    }

    private static Box box(Stop stop) {
        return new Path(stop.path().orElseThrow().main()).box();
    }

    /** Closed cuts round a part: what falls out of an opening takes along what is in it. */
    private static List<Stop> around(FreePiece piece, List<Stop> largestFirst) {
        List<Stop> all = new ArrayList<>();
        Box own = piece.region().box();
        for (Stop stop : largestFirst) {
            if (size(stop) <= own.width() * own.height()) {
                break;
            }
            boolean around =
                    !stop.id().equals(piece.stop().id())
                            && own.beyond(box(stop)) <= 0
                            && new Contour(stop.path().orElseThrow().main())
                                    .contains(piece.region().outer().start());
            if (around) {
                all.add(stop);
            }
        }
        return all;
    }

    /** Openings with nothing in them that is asked for part nothing from the skeleton. */
    private List<Swath> swaths(Map<String, Decisive> decide) {
        Set<String> taken = new HashSet<>();
        decide.values().forEach(d -> d.all().forEach(s -> taken.add(s.id())));
        Map<String, Double> radius = new HashMap<>();
        for (Stop stop : run.stops()) {
            boolean parts = stop.side() != Side.INSIDE || !stop.tabs().isEmpty();
            if (stop.kind() != Stop.Kind.MARK
                    && stop.way().width() > 0
                    && (parts || taken.contains(stop.id()))) {
                radius.put(stop.id(), stop.way().width() / 2);
            }
        }
        List<Swath> swaths = new ArrayList<>();
        Flattener flattener = new Flattener(CHORD);
        for (List<Item.Feed> way : ways(radius.keySet())) {
            List<Coordinate> line = new ArrayList<>();
            for (Item.Feed feed : way) {
                flattener
                        .flatten(new Path(List.of(feed.segment())))
                        .forEach(p -> line.add(FlatShapes.coordinate(p)));
            }
            swaths.add(
                    new Swath(
                            FlatShapes.FACTORY.createLineString(line.toArray(Coordinate[]::new)),
                            radius.get(way.get(0).origin().stop())));
        }
        return swaths;
    }

    /** Moves with the process on that follow each other, of some stops. */
    private List<List<Item.Feed>> ways(Set<String> stops) {
        List<List<Item.Feed>> ways = new ArrayList<>();
        List<Item.Feed> way = new ArrayList<>();
        for (Item item : program.items()) {
            boolean cuts =
                    item instanceof Item.Feed feed
                            && feed.on()
                            && stops.contains(feed.origin().stop());
            boolean goesOn =
                    cuts
                            && (way.isEmpty()
                                    || way.get(0).origin().stop().equals(item.origin().stop()));
            boolean moves = item instanceof Item.Feed || item instanceof Item.Rapid;
            if (!goesOn && moves && !way.isEmpty()) {
                ways.add(way);
                way = new ArrayList<>();
            }
            if (cuts) {
                way.add((Item.Feed) item);
            }
        }
        if (!way.isEmpty()) {
            ways.add(way);
        }
        return ways;
    }
}
