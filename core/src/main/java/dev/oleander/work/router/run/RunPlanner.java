package dev.oleander.work.router.run;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterOrders;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.plan.BankDrilling;
import dev.oleander.work.router.plan.Conditions;
import dev.oleander.work.router.plan.RoundStock;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Plans a whole job: what is done to one copy, then that on all copies, in order. */
public final class RunPlanner {

    /** In ids: what was left of an outline till everything else was cut. */
    private static final String SKIN = "skin";

    private final Task<RouterChoices> task;
    private final RouterChoices choices;
    private final RouterUnit unit;
    private final RouterBook book;
    private final List<Tool> tools;

    /** What is known of stops of the drawing. */
    private final Map<String, Deed> deeds = new LinkedHashMap<>();

    private final Map<String, Feeds> feeds = new HashMap<>();

    /** Ids of what was told with a part and belongs to none. */
    private final Set<String> told = new HashSet<>();

    private final List<Stop> entries = new ArrayList<>();

    private RunPlanner(Task<RouterChoices> task) {
        this.task = task;
        this.choices = task.choices();
        this.unit = RouterUnit.of(task.machine());
        this.book = (RouterBook) task.book();
        this.tools = Decided.tools(task);
    }

    /**
     * @throws PlanException when there can be no plan
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static RouterPlan plan(Task<RouterChoices> task, Progress progress) {
        if (task.reading().features().isEmpty()) {
            throw new PlanException("There is nothing in the drawing that could be worked.");
        }
        return new RunPlanner(task).plan(progress);
    }

    /** A part with those of its openings only that are cut out. */
    public static Region solid(Task<RouterChoices> task, Part part) {
        return Decided.solid(task, part);
    }

    /** How far a part keeps from others whose ways would take what holds its tabs, mm. */
    public static double room(Task<RouterChoices> task, Part part) {
        return Beds.room(task, part);
    }

    /** How far parts that are nested keep from each other. */
    public static Spacing spacing(Task<RouterChoices> task) {
        return Beds.spacing(task);
    }

    /**
     * Those of the job, or else of the machine.
     *
     * @throws PlanException naming what is wrong with one of the job
     */
    public static List<Tool> tools(RouterChoices choices, RouterBook book) {
        try {
            return choices.tools().isEmpty()
                    ? book.tools()
                    : choices.tools().stream().map(FlatTool::tool).toList();
        } catch (CutDataException wrong) {
            throw new PlanException(wrong.getMessage());
        }
    }

    private RouterPlan plan(Progress progress) {
        SheetLayout layout = Beds.of(task, tools);
        RouterTask one = ofOneCopy(layout);
        Map<PartRef, List<RouterStop>> drawn = new LinkedHashMap<>();
        for (Placement placement : layout.placements()) {
            if (!drawn.containsKey(placement.of())) {
                drawn.put(placement.of(), drawn(one, placement.of(), progress));
            }
        }
        List<RouterStop> laid = laid(one, drawn, layout);
        RouterOrder.Laid ordered = ordered(one, laid, layout);
        RunRules rules = new RunRules(ordered.before(), RunPlanner::why, stop -> "cut");
        List<Stop> run = arranged(rules, ordered.order());
        return planned(one, layout, rules, run, laid);
    }

    private RouterPlan planned(
            RouterTask one,
            SheetLayout layout,
            RunRules rules,
            List<Stop> stops,
            List<RouterStop> laid) {
        Map<String, RouterStop> byId =
                laid.stream().collect(Collectors.toMap(RouterStop::id, Function.identity()));
        Run run =
                new Run(
                        task.machine(),
                        choices.order(),
                        layout,
                        stops,
                        choices.run().eventsOf(stops),
                        List.of());
        return new RouterPlan(
                one,
                choices,
                Decided.bySource(task),
                unit,
                book,
                task.order().material(),
                run,
                stops.stream().map(s -> byId.get(s.id())).toList(),
                deeds,
                feeds,
                rules);
    }

    // ---- one copy

    private RouterTask ofOneCopy(SheetLayout layout) {
        Box stock = asSeenByFirst(layout);
        double thickness =
                choices.wholeBlock().map(b -> b.diameter()).orElse(task.order().thickness());
        List<Operation> operations = new ArrayList<>();
        for (Deed deed : Decided.of(task, new Decided.Alone(thickness, stock, tools))) {
            deeds.put(deed.id(), deed);
            deed.operation().ifPresent(operations::add);
        }
        try {
            return new RouterTask(
                    task.reading(),
                    stock,
                    thickness,
                    unit.overCut(),
                    heights(),
                    round(),
                    tools,
                    tool -> book.steps(tool, task.order().material()),
                    operations);
        } catch (CutDataException twice) {
            throw new PlanException(twice.getMessage());
        }
    }

    /** Round stock, where the machine can turn it. */
    private Optional<RoundStock> round() {
        Optional<Block> block = choices.wholeBlock().filter(b -> b.diameter() != null);
        if (block.isEmpty()) {
            return Optional.empty();
        }
        double radius = block.get().diameter() / 2;
        RouterUnit.Rotary rotary = unit.rotary();
        if (rotary == null) {
            throw new PlanException(
                    "%s has no axis that turns the work.".formatted(task.machine().name()));
        }
        if (radius > rotary.swing()) {
            throw new PlanException(
                    "The stock has a diameter of %s mm; %s turns up to %s mm."
                            .formatted(
                                    Numbers.plain(2 * radius, 3),
                                    task.machine().name(),
                                    Numbers.plain(2 * rotary.swing(), 3)));
        }
        return Optional.of(new RoundStock(radius, block.get().middle()));
    }

    private Heights heights() {
        RouterUnit.Lifts lifts = unit.heights();
        return new Heights(lifts.clearance(), lifts.retract(), lifts.feedHeight());
    }

    /** The stock in the coordinates of the drawing, from where the first copy lies. */
    private static Box asSeenByFirst(SheetLayout layout) {
        if (layout.placements().isEmpty()) {
            return layout.stock();
        }
        Transform back = layout.placements().get(0).transform().inverse();
        Box stock = layout.stock();
        List<Box> corners = new ArrayList<>();
        for (double x : new double[] {stock.min().x(), stock.max().x()}) {
            for (double y : new double[] {stock.min().y(), stock.max().y()}) {
                Point corner = back.apply(new Point(x, y));
                corners.add(new Box(corner, corner));
            }
        }
        return Box.around(corners);
    }

    /** Stops of what lies at a place, where it is drawn. */
    private List<RouterStop> drawn(RouterTask one, PartRef of, Progress progress) {
        boolean all = of.isWhole() && task.together().isEmpty();
        RouterTask part =
                all ? one : one.of(Decided.part(task.reading(), of)).doing(operations(one, of));
        List<RouterStop> drawn = new ArrayList<>();
        for (RouterStop stop : RouterPlanner.stops(part, progress)) {
            boolean elsewhere = !all && !stop.isDone() && stop.features().isEmpty();
            if (!elsewhere) {
                drawn.add(withData(one, stop));
            }
        }
        deeds.values().stream()
                .filter(deed -> deed.source().equals(of.source()))
                .filter(deed -> deed.refusal().isPresent() && isHere(of, deed))
                .map(d -> RouterStop.unreadable(d.id(), d.features(), d.refusal().get()))
                .forEach(drawn::add);
        return drawn;
    }

    /** What names no feature is told with the first part. */
    private boolean isHere(PartRef of, Deed deed) {
        return of.isWhole()
                || deed.features().stream().map(task.reading().byId()::get).anyMatch(of::holds)
                || deed.features().isEmpty() && told.add(deed.id());
    }

    /** What the job decides that it is of. */
    private List<Operation> operations(RouterTask one, PartRef of) {
        return one.operations().stream()
                .filter(o -> deeds.get(o.id()).source().equals(of.source()))
                .toList();
    }

    /** With its feeds; refused where the book has nothing for its tool. */
    private RouterStop withData(RouterTask one, RouterStop stop) {
        if (!stop.isDone()) {
            return stop;
        }
        Conditions conditions = new Conditions(one, book, task.order().material(), unit);
        try {
            feeds.put(key(stop), conditions.of(stop));
            return stop;
        } catch (CutDataException none) {
            return stop.refusing(none.getMessage());
        }
    }

    /** Stops of the drawing are told apart by what they do, and to what. */
    private static String key(RouterStop stop) {
        return stop.id() + " " + stop.features();
    }

    // ---- all copies

    private List<RouterStop> laid(
            RouterTask one, Map<PartRef, List<RouterStop>> drawn, SheetLayout layout) {
        Map<String, Feature> features = task.reading().byId();
        Set<String> taken = new HashSet<>();
        List<RouterStop> laid = new ArrayList<>();
        Map<String, Feeds> ofDrawn = Map.copyOf(feeds);
        feeds.clear();
        BankDrilling bank = new BankDrilling(one, unit.bank(), book);
        boolean first = true;
        for (Placement placement : layout.placements()) {
            for (RouterStop stop : drawn.get(placement.of())) {
                Feature feature = feature(stop, features);
                boolean here = first || !isFacing(one, stop);
                if (here) {
                    String id = free(stop, feature, placement.copy(), taken);
                    RouterStop there = bank.of(stop.at(id, placement));
                    Optional<Feeds> own = Optional.ofNullable(ofDrawn.get(key(stop)));
                    own.ifPresent(f -> feeds.put(id, f));
                    laid.add(there);
                    entries.add(
                            StopEntries.of(
                                    there, deeds.get(stop.operation()), feature, placement, own));
                }
            }
            first = false;
        }
        return laid;
    }

    /** The stock is faced once, however many copies lie on it. */
    private static boolean isFacing(RouterTask one, RouterStop stop) {
        return one.operation(stop.operation()).filter(o -> o.what() instanceof Face).isPresent();
    }

    /** What a stop is done to, or the first of it; of the whole stock the first of the drawing. */
    private Feature feature(RouterStop stop, Map<String, Feature> features) {
        return stop.features().stream()
                .map(features::get)
                .findFirst()
                .orElseGet(() -> task.reading().features().get(0));
    }

    private String free(RouterStop stop, Feature feature, int copy, Set<String> taken) {
        String deed = deeds.get(stop.operation()).deed();
        FeatureKey key = FeatureKey.of(feature.id(), copy);
        String visit = stop.skin() ? visit(deed, SKIN) : deed;
        String id = key.visit(visit).text();
        for (int i = 2; !taken.add(id); i++) {
            id = key.visit(visit(visit, String.valueOf(i))).text();
        }
        return id;
    }

    private static String visit(String deed, String more) {
        return deed.isEmpty() ? more : deed + "-" + more;
    }

    // ---- order

    private RouterOrder.Laid ordered(RouterTask one, List<RouterStop> laid, SheetLayout layout) {
        Map<Integer, Transform> places =
                task.together().isEmpty()
                        ? Map.of()
                        : layout.placements().stream()
                                .collect(Collectors.toMap(Placement::copy, Placement::transform));
        if (choices.rule() == RouterOrders.COPY_BY_COPY) {
            return RouterOrder.copyByCopy(one, laid, places);
        }
        return places.isEmpty()
                ? RouterOrder.laid(one, laid)
                : RouterOrder.nested(one, laid, places);
    }

    private static String why(Stop stop, Stop must) {
        if (isLevel(stop) && isLevel(must)) {
            return "pockets with thin walls between them are cut level by level";
        }
        if (isRanked(stop, must)) {
            return "its rank is higher";
        }
        return stop.feature().equals(must.feature())
                ? "it goes on where that one ends"
                : "what it lies in would be free before, or its floor not there yet";
    }

    private static boolean isRanked(Stop stop, Stop must) {
        int rank = rank(must);
        return rank > 0 && rank < rank(stop);
    }

    private static int rank(Stop stop) {
        return ((RouterWork) stop.work()).deed().operation().map(Operation::rank).orElse(0);
    }

    private static boolean isLevel(Stop stop) {
        return ((RouterWork) stop.work()).stop().stage().above().isPresent();
    }

    private List<Stop> arranged(RunRules rules, List<RouterStop> ordered) {
        Map<String, Stop> byId =
                entries.stream().collect(Collectors.toMap(Stop::id, Function.identity()));
        List<Stop> wished = new ArrayList<>();
        ordered.forEach(s -> wished.add(byId.get(s.id())));
        if (choices.run().isByHand()) {
            List<String> sequence = choices.run().sequence();
            Map<String, Integer> places = new HashMap<>();
            sequence.forEach(id -> places.putIfAbsent(id, places.size()));
            wished.sort(Comparator.comparingInt(s -> places.getOrDefault(s.id(), places.size())));
        }
        List<Stop> numbered = new ArrayList<>();
        for (Stop stop : rules.arranged(wished, choices.run().pins())) {
            numbered.add(stop.numbered(numbered.size() + 1));
        }
        return numbered;
    }
}
