package dev.oleander.work.sheet.lead;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.lead.KeptField.Clearance;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * All that a lead on the sheet must stay clear of: the parts of other copies, the swaths of all
 * other cuts, the leads placed before, the edge of the stock.
 */
public final class SheetField {

    /** mm; side of the cells in which leads are kept: some leads long. */
    private static final double CELL = 25;

    private static final String EDGE = "the edge of the stock";

    /** Number of obstacles that are no cut. */
    private static final int NO_STOP = -1;

    /**
     * Something not to be cut into.
     *
     * @param half mm that it reaches to both sides of its segment
     * @param stop which one it belongs to: its place in the list; {@link #NO_STOP} for kept
     *     material
     * @param copy it belongs to, where that matters; else 0
     */
    private record Obstacle(Segment segment, double half, int stop, int copy, String what) {}

    private final Box stock;
    private final SegmentIndex<SegmentIndex.Entry<Obstacle>> fixed;

    /** By id of a stop, its place in the list that the field was made of. */
    private final Map<String, Integer> places;

    /** By that place, its number in the order. */
    private final int[] numbers;

    /** By cell; the lists are replaced, never changed, as copies of the field share them. */
    private final Map<Long, List<Obstacle>> leads;

    /**
     * @param layout what lies where
     * @param stops in any order, and where they begin does not matter yet: see {@link #inOrder}
     */
    public SheetField(SheetLayout layout, List<Part> parts, List<Stop> stops) {
        this.stock = layout.stock();
        this.places = new HashMap<>();
        this.numbers = new int[stops.size()];
        List<Placement> placements = layout.placements();
        List<SegmentIndex.Entry<Obstacle>> all = new ArrayList<>();
        Consumer<Obstacle> add = o -> all.add(new SegmentIndex.Entry<>(o, o.segment()));
        layout.outline().stream()
                .flatMap(outline -> outline.contours().stream())
                .flatMap(contour -> contour.segments().stream())
                .forEach(edge -> add.accept(new Obstacle(edge, 0, NO_STOP, 0, EDGE)));
        // those of a single copy are looked at in the drawing already
        if (placements.size() > 1) {
            for (Placement placement : placements) {
                parts.stream()
                        .filter(placement.of()::holds)
                        .forEach(part -> addKept(part, placement, add));
            }
        }
        for (Stop stop : stops) {
            int place = places.size();
            places.put(stop.id(), place);
            numbers[place] = stop.number();
            if (stop.kind() != Stop.Kind.MARK && stop.path().isPresent()) {
                double half = SheetCut.of(stop).row().orElseThrow().kerf() / 2;
                for (Segment segment : stop.path().get().main()) {
                    add.accept(new Obstacle(segment, half, place, 0, ""));
                }
            }
        }
        this.fixed = SegmentIndex.ofEntries(all);
        this.leads = new HashMap<>();
    }

    private SheetField(SheetField of, int[] numbers, Map<Long, List<Obstacle>> leads) {
        this.stock = of.stock;
        this.fixed = of.fixed;
        this.places = of.places;
        this.numbers = numbers;
        this.leads = leads;
    }

    /** One that changes by itself. */
    public SheetField copy() {
        return new SheetField(this, numbers, new HashMap<>(leads));
    }

    /** One with the same stops in another order, without leads. */
    public SheetField inOrder(List<Stop> ordered) {
        int[] others = new int[numbers.length];
        ordered.forEach(stop -> others[places.get(stop.id())] = stop.number());
        return new SheetField(this, others, new HashMap<>());
    }

    private int number(Obstacle obstacle) {
        return obstacle.stop() == NO_STOP ? NO_STOP : numbers[obstacle.stop()];
    }

    private String sentence(Obstacle obstacle) {
        return obstacle.stop() == NO_STOP ? obstacle.what() : "the cut of stop " + number(obstacle);
    }

    private static void addKept(Part part, Placement placement, Consumer<Obstacle> add) {
        String name = PartRef.within(part.id());
        String label = "%s, copy %d".formatted(name, placement.copy());
        for (Contour contour : part.region().contours()) {
            for (Segment segment : contour.transformed(placement.transform()).segments()) {
                add.accept(new Obstacle(segment, 0, NO_STOP, placement.copy(), label));
            }
        }
    }

    /** Leads of a stop, which those placed later stay clear of. */
    public void addLeads(Stop stop) {
        for (Obstacle lead : leadsOf(stop)) {
            visit(lead, cell -> leads.merge(cell, List.of(lead), SheetField::both));
        }
    }

    public void removeLeads(Stop stop) {
        for (Obstacle lead : leadsOf(stop)) {
            visit(lead, cell -> leads.computeIfPresent(cell, (c, all) -> without(all, lead)));
        }
    }

    private List<Obstacle> leadsOf(Stop stop) {
        if (stop.path().isEmpty() || SheetCut.of(stop).row().isEmpty()) {
            return List.of();
        }
        double half = SheetCut.of(stop).row().get().kerf() / 2;
        int place = places.get(stop.id());
        List<Segment> all = new ArrayList<>(stop.path().get().leadIn());
        all.addAll(stop.path().get().leadOut());
        return all.stream().map(s -> new Obstacle(s, half, place, 0, "")).toList();
    }

    private static void visit(Obstacle lead, Consumer<Long> visitor) {
        Cells.visit(lead.segment().box(), CELL, visitor);
    }

    private static List<Obstacle> both(List<Obstacle> some, List<Obstacle> others) {
        List<Obstacle> all = new ArrayList<>(some);
        all.addAll(others);
        return all;
    }

    private static List<Obstacle> without(List<Obstacle> all, Obstacle lead) {
        List<Obstacle> left = all.stream().filter(o -> !o.equals(lead)).toList();
        return left.isEmpty() ? null : left;
    }

    /**
     * What a stop sees of it.
     *
     * @param stop number of the stop
     * @param from where the stop before ends
     * @param to where the next one begins
     * @param slatPitch mm between slats, which run across the x axis from the stock's left edge; 0
     *     when there are none
     */
    public Surroundings around(
            int stop, Placement placement, Point from, Point to, double slatPitch) {
        return new View(stop, placement, from, to, slatPitch);
    }

    private final class View implements Surroundings {
        private final int stop;
        private final int copy;
        private final Transform transform;
        private final Point from;
        private final Point to;
        private final double slatPitch;

        View(int stop, Placement placement, Point from, Point to, double slatPitch) {
            this.stop = stop;
            this.copy = placement.copy();
            this.transform = placement.transform();
            this.from = from;
            this.to = to;
            this.slatPitch = slatPitch;
        }

        @Override
        public Clearance along(List<Segment> lead, double reach) {
            Clearance least = new Clearance(reach, "", lead.get(0).start());
            for (Segment drawn : lead) {
                Segment segment = drawn.transformed(transform);
                least = edge(segment.box(), drawn.start(), least);
                least = nearest(segment.box(), reach, segment, drawn.start(), least);
            }
            return least;
        }

        @Override
        public Clearance at(Point drawn, double reach) {
            Point pierce = transform.apply(drawn);
            Box box = new Box(pierce, pierce);
            Clearance least = edge(box, drawn, new Clearance(reach, "", drawn));
            return nearest(box, reach, null, drawn, least);
        }

        /** To a segment, or when that is null to the point of the box. */
        private Clearance nearest(
                Box box, double reach, Segment segment, Point place, Clearance sofar) {
            Nearest nearest = new Nearest(segment, box, sofar.distance());
            fixed.visit(box.grown(reach), i -> look(fixed.get(i).item(), nearest));
            Cells.visit(
                    box.grown(reach),
                    CELL,
                    cell ->
                            leads.getOrDefault(cell, List.of())
                                    .forEach(o -> lookAtLead(o, nearest)));
            return nearest.obstacle == null
                    ? sofar
                    : new Clearance(nearest.least, sentence(nearest.obstacle), place);
        }

        private void look(Obstacle obstacle, Nearest nearest) {
            boolean own =
                    obstacle.stop() == NO_STOP ? obstacle.copy() == copy : number(obstacle) == stop;
            if (!own) {
                nearest.look(obstacle);
            }
        }

        /** Those placed later give way themselves. */
        private void lookAtLead(Obstacle lead, Nearest nearest) {
            if (number(lead) < stop) {
                nearest.look(lead);
            }
        }

        private Clearance edge(Box box, Point place, Clearance least) {
            double room =
                    Math.min(
                            Math.min(
                                    box.min().x() - stock.min().x(),
                                    stock.max().x() - box.max().x()),
                            Math.min(
                                    box.min().y() - stock.min().y(),
                                    stock.max().y() - box.max().y()));
            return room < least.distance()
                    ? new Clearance(room, "the edge of the sheet", place)
                    : least;
        }

        @Override
        public double detour(Point start) {
            Point here = transform.apply(start);
            return from.distance(here) + here.distance(to);
        }

        @Override
        public double clearOfSlats(Point pierce) {
            if (slatPitch <= 0) {
                return 1;
            }
            double past = (transform.apply(pierce).x() - stock.min().x()) / slatPitch;
            return 2 * Math.abs(past - Math.rint(past));
        }
    }

    /** The nearest obstacle so far; of equally near ones that of the earlier stop. */
    private final class Nearest {
        private final Segment segment;
        private final Box box;
        private double least;
        private Obstacle obstacle;

        Nearest(Segment segment, Box box, double least) {
            this.segment = segment;
            this.box = box;
            this.least = least;
        }

        void look(Obstacle candidate) {
            if (box.distance(candidate.segment().box()) - candidate.half() > least) {
                return;
            }
            double room =
                    (segment == null
                                    ? candidate.segment().distance(box.min())
                                    : Distances.between(segment, candidate.segment()).distance())
                            - candidate.half();
            boolean first =
                    room == least && obstacle != null && number(candidate) < number(obstacle);
            if (room < least || first) {
                least = room;
                obstacle = candidate;
            }
        }
    }
}
