package dev.oleander.work.pen;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.StopWork;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Named;
import dev.oleander.value.Source;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.Plan;
import dev.oleander.work.Starter;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Following lines with a pen: a kind of work as small as can be, to try the seam with. */
public final class PenPlotting implements Work<PenChoices, PenChoice> {

    private static final double GAP = 5;

    /** The only order there is. */
    enum Order implements Named {
        AS_DRAWN;

        @Override
        public String label() {
            return "as drawn";
        }
    }

    @Override
    public String word() {
        return "pen";
    }

    @Override
    public boolean does(Machine machine) {
        return machine.work().equals(word());
    }

    @Override
    public Class<PenChoices> choices() {
        return PenChoices.class;
    }

    @Override
    public PenChoices usual() {
        return PenChoices.USUAL;
    }

    @Override
    public Class<PenChoice> choicesOfStops() {
        return PenChoice.class;
    }

    @Override
    public String label() {
        return "pens";
    }

    @Override
    public List<Value<PenChoices>> values() {
        return List.of();
    }

    @Override
    public List<Value<PenChoice>> stopValues() {
        return List.of(
                Value.number(
                                "speed",
                                "speed of the pen",
                                Value.<PenChoice>between(100, 20_000),
                                PenChoice::speed,
                                (stop, speed) -> new PenChoice(speed))
                        .label("Speed", "mm/min")
                        .usedNumber(Stop.class, stop -> stop.passes().get(0).feed()));
    }

    @Override
    public List<Word> recipeKinds() {
        return List.of(new Word("line", "lines"));
    }

    @Override
    public String starts() {
        return "lowering";
    }

    @Override
    public List<Starter<PenChoice>> starters() {
        return List.of();
    }

    @Override
    public Subject<PenChoices> subject(Task<PenChoices> task) {
        PenChoices all = task.choices();
        return new Subject<>(all, all, Optional.of(task), Map.of(), Map.of(), "", "");
    }

    @Override
    public List<Subject<PenChoice>> subjects(Task<PenChoices> task, Plan plan, List<Stop> stops) {
        Map<String, Feature> features = task.reading().byId();
        List<Subject<PenChoice>> subjects = new ArrayList<>();
        for (Stop stop : stops) {
            Feature feature = features.get(stop.feature());
            PenChoice here = task.choices().of(stop.feature(), stop.copy());
            subjects.add(
                    new Subject<>(
                            here,
                            here.over(task.choices().recipeFor(feature, "line")),
                            Optional.of(stop),
                            stop.sources(),
                            task.names(feature),
                            feature.id(),
                            "line"));
        }
        return subjects;
    }

    @Override
    public String wordOfData() {
        return "pen";
    }

    @Override
    public Set<String> words(PenChoices choices) {
        return Set.of();
    }

    @Override
    public PenChoices suited(PenChoices choices, Book<?> book, String material, double thickness) {
        return choices;
    }

    @Override
    public List<? extends Named> orders() {
        return List.of(Order.AS_DRAWN);
    }

    @Override
    public Named order(PenChoices choices) {
        return Order.AS_DRAWN;
    }

    @Override
    public PenChoices forgotten(PenChoices choices) {
        return usual();
    }

    @Override
    public PenChoices withData(PenChoices choices, String word) {
        return choices;
    }

    @Override
    public int effort() {
        return 1;
    }

    @Override
    public Plan plan(Task<PenChoices> task, Optional<Plan> earlier, Progress progress) {
        SheetLayout layout = task.layout(GAP, Optional.empty());
        RunRules rules = new RunRules(Map.of(), (stop, must) -> "", Stop::kind);
        List<Stop> stops = new ArrayList<>();
        for (Placement placement : layout.placements()) {
            for (Feature feature :
                    task.reading().features().stream().filter(placement.of()::holds).toList()) {
                stops.add(stop(task, feature, placement).at(placement));
            }
        }
        List<Stop> arranged = rules.arranged(stops, task.choices().run().pins());
        List<Stop> numbered = new ArrayList<>();
        arranged.forEach(stop -> numbered.add(stop.numbered(numbered.size() + 1)));
        Run run =
                new Run(
                        task.machine(),
                        Order.AS_DRAWN,
                        layout,
                        numbered,
                        task.choices().run().eventsOf(numbered),
                        List.of());
        return new PenRun(task, run, rules);
    }

    private static Stop stop(Task<PenChoices> task, Feature feature, Placement placement) {
        PenChoice here = task.choices().of(feature.id(), placement.copy());
        PenChoice set = here.over(task.choices().recipeFor(feature, "line"));
        PenBook.Row pen = ((PenBook) task.book()).rows().get(0);
        Source source = set.isNothing() ? Source.BOOK : Source.RECIPE;
        List<Segment> line = feature.chain().segments();
        return new Stop(
                new Stop.Head(
                        feature.id(),
                        0,
                        feature.id(),
                        feature.part().orElse(""),
                        0,
                        Stop.Kind.LINE,
                        FeatureNames.of(feature)),
                new Stop.Way(
                        Side.ON,
                        true,
                        Compensation.PATH,
                        pen.width(),
                        Stop.Ends.without(0),
                        Optional.of(new CutPath(List.of(), line, List.of(), List.of())),
                        List.of()),
                List.of(new Pass(1, 0, set.isNothing() ? pen.speed() : set.speed().value(), false)),
                Optional.empty(),
                Map.of("speed", here.isNothing() ? source : Source.HERE),
                List.of(),
                StopWork.NONE);
    }
}
