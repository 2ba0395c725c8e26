package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Run;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.bed.UsualStock;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.cut.WireVisit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Plans everything a wire machine does for a job. */
public final class WirePlanner {

    private final WireTask task;
    private final WireChoices choices;

    public WirePlanner(WireTask task, WireChoices choices) {
        this.task = task;
        this.choices = choices;
    }

    /**
     * @throws dev.oleander.plan.PlanException when the stock is not usable
     */
    public WirePlan plan(Reading reading, SheetChoices sheet, Progress progress) {
        Subjects subjects = new Subjects(reading, choices);
        WireLayout.Laid laid =
                new WireLayout(task, choices, subjects)
                        .lay(reading, UsualStock.decided(sheet, task.machine(), reading.workBox()));
        SheetLayout layout = laid.layout();
        List<SubjectPlanner.Task> tasks = tasks(subjects, laid.copies());
        SubjectPlanner planner =
                new SubjectPlanner(task, choices, subjects, layout, reading, tasks);
        List<SubjectPlan> plans =
                IntStream.range(0, tasks.size())
                        .parallel()
                        .mapToObj(i -> planner.plan(tasks.get(i)))
                        .toList();
        progress.at(0.7, "Ordering the visits");
        List<Stop> ordered = new WireSequencer(task, choices, laid.copies()).order(plans, progress);
        Map<String, WireVisit> visits = new LinkedHashMap<>();
        Map<String, WireSettings> settings = new LinkedHashMap<>();
        Map<String, List<Ruling>> surfaces = new LinkedHashMap<>();
        List<StartHole> holes = new ArrayList<>();
        for (SubjectPlan plan : plans) {
            plan.visits().forEach(v -> visits.put(v.stop(), v));
            plan.settings().ifPresent(s -> settings.put(plan.id(), s));
            plan.hole().ifPresent(holes::add);
            surfaces.put(plan.id(), plan.surface());
        }
        Map<String, List<StopEvent>> happening = choices.run().eventsOf(ordered);
        Run run = new Run(task.machine(), choices.order(), layout, ordered, happening, List.of());
        return new WirePlan(
                task,
                choices,
                run,
                laid.copies(),
                visits,
                settings,
                holes,
                surfaces,
                WireOrderCheck.rules(plans));
    }

    private static List<SubjectPlanner.Task> tasks(Subjects subjects, List<WireCopy> copies) {
        List<SubjectPlanner.Task> tasks = new ArrayList<>();
        for (WireCopy copy : copies) {
            for (Feature feature : subjects.all()) {
                if (copy.features().contains(feature.id())) {
                    tasks.add(new SubjectPlanner.Task(feature, copy));
                }
            }
        }
        return tasks;
    }

    /** Where a box of the drawing lies on the table. */
    static Box placed(Box box, Transform transform) {
        return Contour.rectangle(box).transformed(transform).box();
    }
}
