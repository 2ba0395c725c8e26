package dev.oleander.plan.sheet;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.TreeSet;

/**
 * A plan that can be asked why a lead lies where it does, and what another place would do; and that
 * is planned on quickly when only leads and tabs of single stops change. Thread-safe.
 */
public final class SheetPlan {

    private final SheetTask task;
    private final CutLibrary cuts;
    private final Map<String, Slot> slots;

    /** Stops by rule, in their order. */
    private final List<Stop> ordered;

    /** Stops as they are cut, before it is known where the head stays down. */
    private final List<Stop> placed;

    private final SheetField field;
    private final LeadPass leads;
    private final Run run;
    private final SegmentIndex<Box> reaches;

    SheetPlan(
            SheetTask task,
            CutLibrary cuts,
            Map<String, Slot> slots,
            List<Stop> ordered,
            List<Stop> placed,
            SheetField field,
            Run run) {
        this(task, cuts, slots, ordered, placed, field, run, reaches(ordered));
    }

    private SheetPlan(
            SheetTask task,
            CutLibrary cuts,
            Map<String, Slot> slots,
            List<Stop> ordered,
            List<Stop> placed,
            SheetField field,
            Run run,
            SegmentIndex<Box> reaches) {
        this.task = task;
        this.cuts = cuts;
        this.slots = Map.copyOf(slots);
        this.ordered = ordered;
        this.placed = placed;
        this.field = field;
        this.leads = new LeadPass(ordered, field, task.machine().habits().slatPitch());
        this.run = run;
        this.reaches = reaches;
    }

    public Run run() {
        return run;
    }

    /**
     * A place where a stop could begin.
     *
     * @param lead its lead-in there, on the sheet
     * @param room 0 to 1: clearance of the pierce, as far as it is asked for
     * @param straight 0 on a curve to 1 on a very long straight element
     * @param near 0 to 1: how short the way from the stop before and to the next is
     * @param slats 0 above a slat to 1 well between two
     * @param worth the weighted sum
     * @param fits whether some form of the lead fits
     * @param against what it would cut into; empty when it fits
     */
    public record Candidate(
            List<Segment> lead,
            double room,
            double straight,
            double near,
            double slats,
            double worth,
            boolean fits,
            String against) {}

    /**
     * Every place that was looked at for a stop's lead, in the order of its path; none for stops
     * without a lead.
     *
     * @throws NoSuchElementException when there is no such stop
     */
    public List<Candidate> candidates(String stop) {
        int index = indexOf(stop);
        Slot slot = slots.get(stop);
        return slot.chosen().candidates(leads.around(index, slot)).stream()
                .map(c -> candidate(c, slot))
                .toList();
    }

    private static Candidate candidate(LeadSearch.Candidate found, Slot slot) {
        LeadFit fit = found.fit();
        LeadSearch.Worth worth = found.worth();
        List<Segment> lead =
                slot.chosen().draft().shape(fit).stream()
                        .map(s -> s.transformed(slot.placement().transform()))
                        .toList();
        return new Candidate(
                lead,
                worth.room(),
                worth.straight(),
                worth.near(),
                worth.slats(),
                worth.total(),
                found.fits(),
                found.fits() ? "" : fit.bite().what());
    }

    /**
     * The stop as it would be if it began elsewhere: with its remarks, or refused.
     *
     * @param start mm along the drawn contour
     * @throws NoSuchElementException when there is no such stop
     */
    public Stop trial(String stop, double start) {
        int index = indexOf(stop);
        Slot slot = slots.get(stop);
        StopChoice there = slot.choice().withStart(Typed.of(start));
        Cut cut = cuts.trial(slot.feature(), there, slot.placement());
        return leads.place(index, slot, cut);
    }

    private int indexOf(String stop) {
        return run.stop(stop).map(s -> s.number() - 1).orElseThrow();
    }

    /**
     * The plan of another task, when they differ in leads and tabs of single stops only: then the
     * order stays, and no more is placed anew than what they touch. Equal to a whole new plan.
     *
     * @return empty when more differs
     */
    Optional<SheetPlan> edited(SheetTask changed) {
        PlanChoices choices = changed.choices();
        if (!task.differsInStopsOnly(changed)) {
            return Optional.empty();
        }
        Map<String, Slot> others = new HashMap<>(slots);
        TreeSet<Integer> waiting = new TreeSet<>();
        for (int i = 0; i < ordered.size(); i++) {
            Slot slot = slots.get(ordered.get(i).id());
            StopChoice choice = choices.of(slot.feature().id(), slot.placement().copy());
            if (!choice.equals(slot.choice())) {
                if (!choice.ofPath().equals(slot.choice().ofPath())) {
                    return Optional.empty();
                }
                others.put(ordered.get(i).id(), slot.with(choice, cuts));
                waiting.add(i);
            }
        }
        return Optional.of(again(changed, others, waiting));
    }

    private SheetPlan again(SheetTask changed, Map<String, Slot> others, TreeSet<Integer> waiting) {
        SheetField copy = field.copy();
        LeadPass pass = new LeadPass(ordered, copy, task.machine().habits().slatPitch());
        List<Stop> now = new ArrayList<>(placed);
        List<Integer> longer = withLeadsByHand(others);
        while (!waiting.isEmpty()) {
            int i = waiting.pollFirst();
            Slot slot = others.get(ordered.get(i).id());
            Stop before = now.get(i);
            Stop stop = pass.place(i, slot, slot.chosen());
            now.set(i, stop);
            if (!leadsOf(before).equals(leadsOf(stop))) {
                copy.removeLeads(before);
                copy.addLeads(stop);
                wake(waiting, i, before);
                wake(waiting, i, stop);
                longer.stream().filter(j -> j > i).forEach(waiting::add);
            }
        }
        Run next =
                new Run(
                        run.machine(),
                        run.order(),
                        run.layout(),
                        new HeadTravel(task.machine().habits().lowTravel()).decide(now),
                        run.drilled());
        return new SheetPlan(changed, cuts, others, ordered, now, copy, next, reaches);
    }

    /** Stops whose leads may be longer than those by rule, so that they look farther. */
    private List<Integer> withLeadsByHand(Map<String, Slot> all) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < ordered.size(); i++) {
            if (!all.get(ordered.get(i).id()).choice().leadIn().isNothing()) {
                found.add(i);
            }
        }
        return found;
    }

    /** Later stops that may have seen a lead. */
    private void wake(TreeSet<Integer> waiting, int index, Stop of) {
        for (Segment lead : leadsOf(of)) {
            reaches.visit(
                    lead.box(),
                    i -> {
                        if (i > index) {
                            waiting.add(i);
                        }
                    });
        }
    }

    private static List<Segment> leadsOf(Stop stop) {
        List<Segment> both = new ArrayList<>();
        stop.path().map(CutPath::leadIn).ifPresent(both::addAll);
        stop.path().map(CutPath::leadOut).ifPresent(both::addAll);
        return both;
    }

    /** How far each stop looks for room: its longest lead and clearance round its path. */
    private static SegmentIndex<Box> reaches(List<Stop> ordered) {
        Box nowhere = new Box(Point.ORIGIN, Point.ORIGIN);
        return SegmentIndex.ofBoxes(
                ordered.stream().map(s -> s.path().map(p -> reach(s, p)).orElse(nowhere)).toList());
    }

    private static Box reach(Stop stop, CutPath path) {
        Box main = Box.around(path.main().stream().map(Segment::box).toList());
        double lead = stop.leadIn().length() + 2 * stop.leadIn().radius();
        double room =
                stop.row()
                        .map(r -> 2 * Math.max(r.pierceClearance(), r.kerf()) + 3 * r.lead())
                        .orElse(0.0);
        return main.grown(lead + room);
    }
}
