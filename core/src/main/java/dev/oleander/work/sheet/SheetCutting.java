package dev.oleander.work.sheet;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.machine.Machine;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.Plan;
import dev.oleander.work.Spacing;
import dev.oleander.work.Starter;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.CutKind;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Cutting parts out of sheets. */
public final class SheetCutting implements Work<PlanChoices, StopChoice> {

    public static final SheetCutting SHEET = new SheetCutting();

    @Override
    public String word() {
        return SheetProof.WORK;
    }

    @Override
    public boolean does(Machine machine) {
        return machine.work().equals(word());
    }

    @Override
    public Class<PlanChoices> choices() {
        return PlanChoices.class;
    }

    @Override
    public PlanChoices usual() {
        return PlanChoices.defaults();
    }

    @Override
    public Class<StopChoice> choicesOfStops() {
        return StopChoice.class;
    }

    @Override
    public String label() {
        return "sheets";
    }

    @Override
    public String starts() {
        return "piercing";
    }

    @Override
    public List<Starter<StopChoice>> starters() {
        return SheetStarters.ALL;
    }

    @Override
    public List<Value<PlanChoices>> values() {
        return SheetValues.OF_JOBS;
    }

    @Override
    public List<Value<StopChoice>> stopValues() {
        return SheetValues.OF_STOPS;
    }

    @Override
    public List<Word> recipeKinds() {
        return Word.all(CutKind.values());
    }

    @Override
    public Subject<PlanChoices> subject(Task<PlanChoices> task) {
        PlanChoices choices = task.choices();
        return new Subject<>(choices, choices, Optional.of(task), Map.of(), Map.of(), "", "");
    }

    @Override
    public List<Subject<StopChoice>> subjects(Task<PlanChoices> task, Plan plan, List<Stop> stops) {
        double usualTab = task.machine().habits().tabs().length();
        List<String> qualities =
                ((CutBook) task.book())
                        .qualities(task.order().material(), task.order().thickness());
        Map<String, Feature> features = task.reading().byId();
        return stops.stream()
                .map(stop -> new CutStop(stop, usualTab, qualities))
                .map(cut -> subject(task, features.get(cut.stop().feature()), cut))
                .toList();
    }

    /** In formulas t is the thickness, k the kerf, r and d are those of a round feature. */
    private static Subject<StopChoice> subject(
            Task<PlanChoices> task, Feature feature, CutStop cut) {
        Stop stop = cut.stop();
        Map<String, Double> names = new TreeMap<>(task.names(feature));
        SheetCut.of(stop).row().ifPresent(row -> names.put("k", row.kerf()));
        String kind = CutKind.of(feature).word();
        PlanChoices choices = task.choices(stop.feature());
        StopChoice here = choices.of(stop.feature(), stop.copy());
        StopChoice set = here.over(choices.recipeFor(feature, kind));
        return new Subject<>(
                here, set, Optional.of(cut), stop.sources(), names, feature.id(), kind);
    }

    @Override
    public String wordOfData() {
        return "quality";
    }

    @Override
    public Set<String> words(PlanChoices choices) {
        Set<String> words = new HashSet<>(Set.of(choices.quality()));
        choices.stops().values().stream().map(StopChoice::quality).forEach(words::add);
        words.remove(null);
        return words;
    }

    @Override
    public PlanChoices suited(
            PlanChoices choices, Book<?> book, String material, double thickness) {
        CutBook data = (CutBook) book;
        List<String> qualities = data.qualities(material, thickness);
        String wanted = choices.quality();
        if (qualities.isEmpty()) {
            data.find(material, thickness, wanted);
        }
        boolean possible = qualities.isEmpty() || qualities.contains(wanted);
        return choices.withQuality(possible ? wanted : qualities.get(0));
    }

    @Override
    public List<OrderRule> orders() {
        return Arrays.stream(OrderRule.values()).filter(o -> o != OrderRule.BY_HAND).toList();
    }

    @Override
    public OrderRule order(PlanChoices choices) {
        return choices.order();
    }

    @Override
    public PlanChoices forgotten(PlanChoices choices) {
        return usual();
    }

    @Override
    public PlanChoices withData(PlanChoices choices, String word) {
        return choices.withQuality(word);
    }

    @Override
    public int effort() {
        return 1;
    }

    @Override
    public boolean nests() {
        return true;
    }

    @Override
    public Optional<Spacing> spacing(Task<PlanChoices> task) {
        return Optional.of(SheetPlanner.spacing(task));
    }

    @Override
    public Plan plan(Task<PlanChoices> task, Optional<Plan> earlier, Progress progress) {
        Optional<SheetRun> before =
                earlier.filter(SheetRun.class::isInstance).map(SheetRun.class::cast);
        SheetPlan plan = SheetPlanner.plan(task, before.map(SheetRun::plan), progress);
        return new SheetRun(task.reading(), plan, before.flatMap(SheetRun::knownMotion));
    }
}
