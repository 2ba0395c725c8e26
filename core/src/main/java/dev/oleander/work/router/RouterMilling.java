package dev.oleander.work.router;

import dev.oleander.book.Book;
import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Region;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import dev.oleander.work.PanelJob;
import dev.oleander.work.Plan;
import dev.oleander.work.Spacing;
import dev.oleander.work.Starter;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.RouterOrders;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.panel.PanelJobs;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.run.RunPlanner;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Milling, drilling and sawing with tools that turn. */
public final class RouterMilling implements Work<RouterChoices, RouterChoice> {

    public static final RouterMilling ROUTER = new RouterMilling();

    /** Word of the kind of work. */
    public static final String WORK = "router";

    @Override
    public String word() {
        return WORK;
    }

    @Override
    public boolean does(Machine machine) {
        return machine.work().equals(WORK);
    }

    @Override
    public Class<RouterChoices> choices() {
        return RouterChoices.class;
    }

    @Override
    public RouterChoices usual() {
        return RouterChoices.NOTHING;
    }

    @Override
    public Class<RouterChoice> choicesOfStops() {
        return RouterChoice.class;
    }

    @Override
    public String label() {
        return "the router";
    }

    @Override
    public List<Value<RouterChoices>> values() {
        return RouterJobValues.ALL;
    }

    @Override
    public List<Value<RouterChoice>> stopValues() {
        return RouterStopValues.ALL;
    }

    @Override
    public List<Word> recipeKinds() {
        return RouterKind.deeds().stream().map(k -> new Word(k.word(), k.plural())).toList();
    }

    @Override
    public String starts() {
        return "tool changes";
    }

    @Override
    public List<Starter<RouterChoice>> starters() {
        RouterChoice tabs =
                RouterChoice.NOTHING
                        .with(WishValues.TAB_SPACING, "250")
                        .with(WishValues.TAB_WIDTH, "8")
                        .with(WishValues.TAB_HEIGHT, "T/4");
        RouterChoice fine =
                RouterChoice.NOTHING
                        .with(WishValues.STEP_DOWN, "D/2")
                        .with(WishValues.STEP_OVER, "0.3");
        // deep and narrow: what an even engagement is for
        RouterChoice even =
                RouterChoice.NOTHING
                        .with(WishValues.MANNER, "even")
                        .with(WishValues.STEP_DOWN, "D")
                        .with(WishValues.STEP_OVER, "0.15");
        RouterChoice skin =
                RouterChoice.NOTHING
                        .with(WishValues.SKIN, "0.4")
                        .with(WishValues.FINISH_CUTS, "1")
                        .with(WishValues.FINISH_WIDTH, "0.3");
        Rule pockets = new Rule(RouterKind.POCKET.word(), null, null);
        return List.of(
                new Starter<>("", new Recipe<>("Outlines on tabs by spacing", Rule.BY_HAND, tabs)),
                new Starter<>("", new Recipe<>("Pockets, fine", pockets, fine)),
                new Starter<>("", new Recipe<>("Pockets, evenly", pockets, even)),
                new Starter<>(
                        "", new Recipe<>("Outlines finished, on a skin", Rule.BY_HAND, skin)));
    }

    @Override
    public Subject<RouterChoices> subject(Task<RouterChoices> task) {
        RouterChoices choices = task.choices();
        return new Subject<>(choices, choices, Optional.of(task), Map.of(), Map.of(), "", "");
    }

    /** What is done to a feature has the same values on all copies. */
    @Override
    public List<Subject<RouterChoice>> subjects(
            Task<RouterChoices> task, Plan plan, List<Stop> stops) {
        Map<String, Stop> once = new LinkedHashMap<>();
        stops.forEach(stop -> once.putIfAbsent(stop.subject(), stop));
        RouterPlan of = ((RouterRun) plan).plan();
        Map<String, Feature> features = task.reading().byId();
        return once.values().stream()
                .map(stop -> subject(task, stop, features.get(stop.feature()), of))
                .toList();
    }

    private static Subject<RouterChoice> subject(
            Task<RouterChoices> task, Stop stop, Feature feature, RouterPlan plan) {
        RouterWork work = (RouterWork) stop.work();
        RouterChoices choices = task.choices(feature.id());
        RouterChoice here = choices.of(stop.key());
        String kind = work.deed().kind();
        return new Subject<>(
                here,
                here.over(choices.recipeFor(feature, kind)).over(choices.all()),
                Optional.of(new RouterStopOf(work, stop.side(), plan)),
                stop.sources(),
                names(task, feature, work, plan),
                feature.id(),
                kind);
    }

    /**
     * In formulas T and t are the thickness, D and F diameter and flutes of the tool, L and W the
     * stock, d and r those of a round feature.
     */
    private static Map<String, Double> names(
            Task<RouterChoices> task, Feature feature, RouterWork work, RouterPlan plan) {
        Map<String, Double> names = new TreeMap<>(task.names(feature));
        names.putAll(
                Wish.names(
                        plan.task().thickness(),
                        plan.task().stock().width(),
                        plan.task().stock().height(),
                        work.stop().tool()));
        return names;
    }

    @Override
    public String wordOfData() {
        return "quality";
    }

    @Override
    public Set<String> words(RouterChoices choices) {
        return Set.of();
    }

    @Override
    public RouterChoices suited(
            RouterChoices choices, Book<?> book, String material, double thickness) {
        boolean known =
                ((RouterBook) book).rows().stream().anyMatch(r -> r.material().equals(material));
        if (!known) {
            throw new CutDataException(
                    "The tools of %s have no data for %s."
                            .formatted(((RouterBook) book).machine(), material));
        }
        return choices;
    }

    @Override
    public List<RouterOrders> orders() {
        return Arrays.stream(RouterOrders.values()).filter(o -> o != RouterOrders.BY_HAND).toList();
    }

    @Override
    public RouterOrders order(RouterChoices choices) {
        return choices.order();
    }

    @Override
    public RouterChoices forgotten(RouterChoices choices) {
        return usual().withAll(choices.all())
                .withOperations(choices.operations(), choices.onlyThose())
                .withTools(choices.tools())
                .withBlock(choices.block())
                .withZero(choices.zero());
    }

    @Override
    public RouterChoices withData(RouterChoices choices, String word) {
        if (!word.isEmpty()) {
            throw new ValueException("A router has no quality \"%s\".".formatted(word));
        }
        return choices;
    }

    /** About so many times that of a stop on a sheet. */
    @Override
    public int effort() {
        return 10;
    }

    @Override
    public boolean nests() {
        return true;
    }

    @Override
    public Optional<Spacing> spacing(Task<RouterChoices> task) {
        return Optional.of(RunPlanner.spacing(task));
    }

    /** A pocket, or a hole that is not through, is no room for another part. */
    @Override
    public Region solid(Task<RouterChoices> task, Part part) {
        return RunPlanner.solid(task, part);
    }

    @Override
    public double room(Task<RouterChoices> task, Part part) {
        return RunPlanner.room(task, part);
    }

    @Override
    public Optional<PanelMachine> panels(Machine machine, Book<?> book) {
        return Optional.of(PanelWork.machine(machine, (RouterBook) book));
    }

    @Override
    public Optional<PanelJob<RouterChoices>> panelJob(
            PanelJob.Wished wished, Machine machine, Book<?> book) {
        return Optional.of(PanelJobs.of(wished, RouterUnit.of(machine), (RouterBook) book));
    }

    @Override
    public Plan plan(Task<RouterChoices> task, Optional<Plan> earlier, Progress progress) {
        return new RouterRun(task.reading(), RunPlanner.plan(task, progress));
    }
}
