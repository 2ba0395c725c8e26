package dev.oleander.work.sheet.plan;

import dev.oleander.geometry.Segment;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.lead.LeadFit;
import dev.oleander.work.sheet.lead.LeadSearch;
import dev.oleander.work.sheet.lead.SheetField;
import java.util.ArrayList;
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
    private final PlanFrame frame;
    private final List<Slot> slots;
    private final SheetField field;
    private final LeadPass leads;
    private final Run run;

    /**
     * @param slots in the order of the frame
     * @param field with the leads of all stops
     */
    SheetPlan(SheetTask task, PlanFrame frame, List<Slot> slots, SheetField field, Run run) {
        this.task = task;
        this.frame = frame;
        this.slots = slots;
        this.field = field;
        this.leads = pass(field);
        this.run = run;
    }

    private LeadPass pass(SheetField of) {
        return new LeadPass(frame.ordered(), of, task.machine().habits().slatPitch());
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
        Slot slot = slots.get(index);
        if (!SheetCut.of(run.stops().get(index)).shared().isEmpty()) {
            return List.of();
        }
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
        Slot slot = slots.get(index);
        StopChoice there = slot.choice().withStart(Typed.of(start));
        Cut cut = frame.cuts().trial(slot.feature(), there, slot.placement());
        return leads.place(index, slot, cut);
    }

    private int indexOf(String stop) {
        return Optional.ofNullable(frame.indexOf(stop)).orElseThrow();
    }

    /**
     * The plan of another task, when they differ in leads and tabs of single stops only: then the
     * order stays, and no more is placed anew than what they touch. Equal to a whole new plan.
     *
     * @return empty when more differs
     */
    Optional<SheetPlan> edited(SheetTask changed) {
        if (!task.differsInStopsOnly(changed)) {
            return Optional.empty();
        }
        PlanChoices choices = changed.choices();
        List<Slot> others = new ArrayList<>(slots);
        TreeSet<Integer> waiting = new TreeSet<>();
        for (int i : affected(choices.stops())) {
            Slot slot = slots.get(i);
            StopChoice choice = choices.of(slot.feature().id(), slot.placement().copy());
            if (!choice.ofPath().equals(slot.choice().ofPath())) {
                return Optional.empty();
            }
            if (!choice.equals(slot.choice())) {
                others.set(i, slot.with(choice, frame.cuts()));
                waiting.add(i);
            }
        }
        return Optional.of(again(changed, others, waiting));
    }

    /** Places in the order of stops for which something else is set now. */
    private TreeSet<Integer> affected(Map<String, StopChoice> now) {
        Map<String, StopChoice> before = task.choices().stops();
        TreeSet<Integer> affected = new TreeSet<>();
        for (Map.Entry<String, StopChoice> entry : now.entrySet()) {
            if (!entry.getValue().equals(before.get(entry.getKey()))) {
                affected.addAll(frame.indicesOf(entry.getKey()));
            }
        }
        for (String key : before.keySet()) {
            if (!now.containsKey(key)) {
                affected.addAll(frame.indicesOf(key));
            }
        }
        return affected;
    }

    private SheetPlan again(SheetTask changed, List<Slot> others, TreeSet<Integer> waiting) {
        SheetField copy = field.copy();
        LeadPass pass = pass(copy);
        List<Stop> now = new ArrayList<>(run.stops());
        List<Integer> longer = withLeadsByHand(changed, others);
        TreeSet<Integer> moved = new TreeSet<>();
        boolean frees = false;
        while (!waiting.isEmpty()) {
            int i = waiting.pollFirst();
            Slot slot = others.get(i);
            Stop before = now.get(i);
            Stop stop =
                    SheetCut.approached(
                            pass.place(i, slot, slot.chosen()), SheetCut.of(before).approach());
            now.set(i, stop);
            frees |= frees(before, i) != frees(stop, i);
            moved.add(i);
            moved.add(Math.min(i + 1, now.size() - 1));
            if (!leadsOf(before).equals(leadsOf(stop))) {
                copy.removeLeads(before);
                copy.addLeads(stop);
                wake(waiting, i, before);
                wake(waiting, i, stop);
                longer.stream().filter(j -> j > i).forEach(waiting::add);
            }
        }
        List<Stop> travelled = frees ? frame.travel().decide(now) : decided(now, moved);
        Run next =
                new Run(
                        run.machine(),
                        run.order(),
                        run.layout(),
                        travelled,
                        changed.eventsOf(travelled),
                        run.drilled());
        return new SheetPlan(changed, frame, others, copy, next);
    }

    /** A stop that is not cut leaves the one after it with another way, however far on. */
    private List<Stop> decided(List<Stop> stops, TreeSet<Integer> moved) {
        for (int first : moved) {
            int i = first;
            stops.set(i, frame.travel().decide(stops, i));
            while (stops.get(i).path().isEmpty() && i + 1 < stops.size()) {
                i++;
                stops.set(i, frame.travel().decide(stops, i));
            }
        }
        return stops;
    }

    private boolean frees(Stop stop, int index) {
        return frame.travel().isFree(stop, index);
    }

    /** Stops whose leads may be longer than those by rule, so that they look farther. */
    private List<Integer> withLeadsByHand(SheetTask changed, List<Slot> all) {
        List<Integer> found = new ArrayList<>();
        for (Map.Entry<String, StopChoice> entry : changed.choices().stops().entrySet()) {
            for (int i : frame.indicesOf(entry.getKey())) {
                if (!all.get(i).choice().leadIn().isNothing()) {
                    found.add(i);
                }
            }
        }
        return found;
    }

    /** Later stops that may have seen a lead. */
    private void wake(TreeSet<Integer> waiting, int index, Stop of) {
        for (Segment lead : leadsOf(of)) {
            frame.reaches()
                    .visit(
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
}
