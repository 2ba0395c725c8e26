package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.Bank;
import dev.oleander.work.router.book.Station;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Optional;

/** Every tool that is called stands where it is expected, alone, and is not worn. */
public final class StationRule extends RouterRule {

    private static final double MM = 1000;

    /** mm within which diameters are one. */
    private static final double SAME = 1e-3;

    public StationRule() {
        super("station", "every tool that is called is in its position, and not worn");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        findings.faults(proof, id());
        for (Tool tool : proof.plan().toolsInUse()) {
            findings.checked(1);
            tool(proof.plan(), tool, findings);
        }
    }

    private static void tool(RouterPlan plan, Tool tool, Findings findings) {
        List<Station> where =
                plan.book().stations().stream().filter(s -> s.tool() == tool.number()).toList();
        List<RouterStop> stops =
                plan.done().stream().filter(s -> s.tool().orElseThrow().equals(tool)).toList();
        RouterStop first = stops.get(0);
        Optional<Tool> there =
                plan.book().tools().stream().filter(t -> t.number() == tool.number()).findFirst();
        if (where.isEmpty()) {
            add(
                    findings,
                    Severity.NOTE,
                    first,
                    "tool %d stands in no position: put it into a free one.",
                    tool.number());
        } else if (where.size() > 1 && !isInBank(plan, where)) {
            add(
                    findings,
                    Severity.LOOK,
                    first,
                    "tool %d stands in positions %d and %d: one of them holds something else.",
                    tool.number(),
                    where.get(0).position(),
                    where.get(1).position());
        } else if (there.filter(t -> !isAlike(t, tool)).isPresent()) {
            add(
                    findings,
                    Severity.NOTE,
                    first,
                    "position %d holds a %s of %s mm; this job has a %s of %s mm as tool %d: put it in.",
                    where.get(0).position(),
                    there.get().kind().label(),
                    Numbers.plain(there.get().diameter(), 3),
                    tool.kind().label(),
                    Numbers.plain(tool.diameter(), 3),
                    tool.number());
        } else {
            double cut = stops.stream().mapToDouble(RouterStop::cutLength).sum() / MM;
            worn(tool, where.get(0), cut / where.size(), first, findings);
        }
    }

    /** Of a bank several drills may be alike. */
    private static boolean isInBank(RouterPlan plan, List<Station> where) {
        Bank bank = plan.unit().bank();
        return bank != null && where.stream().allMatch(s -> bank.has(s.position()));
    }

    private static boolean isAlike(Tool there, Tool own) {
        return there.kind() == own.kind() && Math.abs(there.diameter() - own.diameter()) < SAME;
    }

    /**
     * @param cut metres of this job
     */
    private static void worn(
            Tool tool, Station station, double cut, RouterStop first, Findings findings) {
        double life = tool.limits().life();
        double left = life - station.used();
        if (life > 0 && cut > left) {
            findings.add(
                    Severity.LOOK,
                    first.id(),
                    first.begin(),
                    cut,
                    left,
                    "tool %d cuts %s m here; of its life of %s m there are %s m left."
                            .formatted(
                                    tool.number(),
                                    Numbers.plain(cut, 1),
                                    Numbers.plain(life, 0),
                                    Numbers.plain(Math.max(0, left), 1)));
        }
    }

    private static void add(
            Findings findings, Severity severity, RouterStop stop, String text, Object... values) {
        Point at = stop.begin();
        findings.add(severity, stop.id(), at, 0, 0, text.formatted(values));
    }
}
