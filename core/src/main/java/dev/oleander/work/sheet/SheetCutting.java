package dev.oleander.work.sheet;

import dev.oleander.machine.Book;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.Machine;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.StopChoice;
import dev.oleander.progress.Progress;
import dev.oleander.work.Plan;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Cutting parts out of sheets. */
public final class SheetCutting implements Work<PlanChoices> {

    public static final SheetCutting SHEET = new SheetCutting();

    @Override
    public String word() {
        return SheetProof.WORK;
    }

    @Override
    public boolean does(Machine machine) {
        return !machine.hasWire();
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
    public PlanChoices suited(PlanChoices choices, Book book, String material, double thickness) {
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
    public Plan plan(Task<PlanChoices> task, Optional<Plan> earlier, Progress progress) {
        SheetPlanner planner = new SheetPlanner(task.machine(), (CutBook) task.book());
        SheetPlanner.Order order =
                new SheetPlanner.Order(
                        task.order().material(), task.order().thickness(), task.order().quantity());
        Optional<SheetRun> before =
                earlier.filter(SheetRun.class::isInstance).map(SheetRun.class::cast);
        SheetPlan plan =
                before.isEmpty()
                        ? planner.plan(task.reading(), order, task.choices(), task.bed(), progress)
                        : planner.plan(
                                task.reading(),
                                order,
                                task.choices(),
                                task.bed(),
                                before.get().plan(),
                                progress);
        return new SheetRun(task.reading(), plan, before.flatMap(SheetRun::knownMotion));
    }
}
