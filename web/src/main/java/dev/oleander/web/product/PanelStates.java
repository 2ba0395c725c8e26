package dev.oleander.web.product;

import dev.oleander.book.CutDataException;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Role;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.product.ProductJobTable.Link;
import dev.oleander.work.PanelJob;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/** How far the panels of a product are, by their ids. */
public final class PanelStates {

    /** What the board says of a job that waits for nothing but its release. */
    private static final String READY = "ready to release";

    private final Map<String, State> states = new LinkedHashMap<>();
    private final Set<Link> stale = new HashSet<>();
    private final Map<String, String> faults;

    private PanelStates(Map<String, String> faults) {
        this.faults = Map.copyOf(faults);
    }

    /**
     * How far a panel is.
     *
     * @param word released B, proved, stale, no program, refused, ...
     * @param sentence why it is no farther, or why it lies as it does
     * @param jobs of its clampings, in their order
     */
    public record State(String word, String sentence, List<Long> jobs, boolean urgent) {}

    /**
     * @param faults what stands against panels when their programs are carried back
     * @param programs what the clampings of a panel become
     */
    static PanelStates of(
            ProductState product,
            List<Link> links,
            Map<String, String> faults,
            Function<Panel, List<PanelProgram>> programs) {
        PanelStates states = new PanelStates(faults);
        for (Panel panel : product.product().panels()) {
            List<Link> own = links.stream().filter(l -> l.panel().equals(panel.id())).toList();
            states.states.put(panel.id(), states.state(product, panel, own, programs));
        }
        return states;
    }

    public State of(Panel panel) {
        return states.get(panel.id());
    }

    /** Whether the product asks for something else by now. */
    boolean isStale(Link link) {
        return stale.contains(link);
    }

    /** Whether its programs, carried back, are what the panel asks for. */
    boolean isSound(Link link) {
        return !faults.containsKey(link.panel());
    }

    private State state(
            ProductState product,
            Panel panel,
            List<Link> links,
            Function<Panel, List<PanelProgram>> programs) {
        Decision decision = product.decision(panel);
        if (panel.role() != Role.PANEL) {
            return plain(panel.role().word(), "");
        }
        if (panel.features().isEmpty() && decision.clampings().isEmpty()) {
            return plain("nothing to machine: saw only", "");
        }
        if (decision.clampings().isEmpty()) {
            return new State("refused", decision.why(), List.of(), true);
        }
        if (product.twins().equalTo(panel.id()).isPresent()) {
            String other = product.twins().equalTo(panel.id()).get();
            return plain("program of " + other, decision.why());
        }
        try {
            return state(panel, decision, links, programs.apply(panel));
        } catch (RefusedEditException | PlanException | CutDataException impossible) {
            return new State("no program", impossible.getMessage(), List.of(), true);
        }
    }

    private static State plain(String word, String sentence) {
        return new State(word, sentence, List.of(), false);
    }

    private State state(
            Panel panel, Decision decision, List<Link> links, List<PanelProgram> programs) {
        List<PanelJob.Unmade> without = new ArrayList<>();
        programs.forEach(p -> without.addAll(p.without()));
        List<Long> jobs = links.stream().map(Link::job).toList();
        if (!without.isEmpty()) {
            String word =
                    "%d %s without a rule"
                            .formatted(
                                    without.size(), without.size() == 1 ? "feature" : "features");
            return new State(word, without.get(0).sentence(), jobs, true);
        }
        Optional<String> notOnce = notOnce(decision, programs);
        if (notOnce.isPresent()) {
            return new State("must fix", notOnce.get(), jobs, true);
        }
        if (links.size() < programs.size()) {
            return new State("no program", decision.why(), jobs, false);
        }
        for (Link link : links) {
            if (!link.madeOf().equals(programs.get(link.clamping() - 1).hash())) {
                stale.add(link);
            }
        }
        if (links.stream().anyMatch(stale::contains)) {
            return new State("stale", "The product asks for something else by now.", jobs, true);
        }
        String fault = faults.get(panel.id());
        return fault != null
                ? new State("must fix", fault, jobs, true)
                : ofJobs(decision, links, jobs);
    }

    /** A feature that is made twice, or not at all though nothing refuses it. */
    private static Optional<String> notOnce(Decision decision, List<PanelProgram> programs) {
        Map<String, Integer> times = new TreeMap<>();
        decision.clampings().forEach(c -> c.features().forEach(f -> times.put(f, 0)));
        programs.forEach(p -> p.made().forEach(m -> times.merge(m.feature(), 1, Integer::sum)));
        return times.entrySet().stream()
                .filter(e -> e.getValue() != 1)
                .map(e -> "Feature %s is made %d times.".formatted(e.getKey(), e.getValue()))
                .findFirst();
    }

    private static State ofJobs(Decision decision, List<Link> links, List<Long> jobs) {
        Set<String> revisions = new TreeSet<>();
        boolean onBoard = decision.clampings().get(0).onBoard();
        for (Link link : links) {
            if (onBoard && link.clamping() == 1 && link.nest() == null) {
                return new State("on no board yet", decision.why(), jobs, true);
            }
            if (link.revision() == null) {
                boolean ready = link.next().contains(READY);
                return new State(
                        ready ? "proved" : "to look at",
                        ready ? decision.why() : link.next(),
                        jobs,
                        !ready);
            }
            revisions.add(link.revision());
        }
        return new State("released " + String.join(", ", revisions), decision.why(), jobs, false);
    }
}
