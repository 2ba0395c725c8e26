package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;

/** How pieces leave that come free, and whether somebody holds them. */
public final class ExitRule extends WireRule {

    @Override
    public String id() {
        return "wire-free";
    }

    @Override
    public String title() {
        return "every piece that comes free can leave, and is held or may drop";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        visits(
                plan,
                (stop, visit) -> {
                    String subject = visit.subject();
                    WireSettings settings = plan.settings().get(subject);
                    boolean closed = settings != null && settings.kind() != WireKind.OPEN;
                    if (visit.frees() && closed) {
                        findings.checked(1);
                        piece(plan, input, stop, visit, settings, findings);
                    }
                });
    }

    private static void piece(
            WirePlan plan,
            ProofInput input,
            Stop stop,
            WireVisit visit,
            WireSettings settings,
            Findings findings) {
        double room = 2 * settings.row().offset(1);
        String subject = visit.subject();
        Exit exit = Exit.of(plan.surfaces().get(subject), room);
        String piece = settings.kind() == WireKind.PUNCH ? "part" : "slug";
        String name = ProofInput.named(stop);
        Point place = visit.begin();
        double mass = mass(plan, input.reading().byId().get(visit.feature()).area());
        double most = WireUnit.of(plan.task().machine()).dropMass();
        if (!exit.up() && !exit.down()) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    place,
                    0,
                    room,
                    "%s: the %s is wider than its hole both above and below; it cannot leave. Turn the taper or erode the opening completely."
                            .formatted(name, piece));
        } else if (!visit.waits() && exit.down() && mass > most) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    place,
                    mass,
                    most,
                    "%s: the %s of %s kg comes free without a stop and falls onto the lower head; %s kg may. Hold it, or let the machine wait."
                            .formatted(
                                    name, piece, Numbers.plain(mass, 3), Numbers.plain(most, 3)));
        } else if (!visit.waits() && !exit.down()) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    place,
                    mass,
                    most,
                    "%s: the %s comes free without a stop and can leave upwards only: it stays in the way until somebody lifts it out."
                            .formatted(name, piece));
        } else if (!exit.down()) {
            findings.add(
                    Severity.NOTE,
                    stop.id(),
                    place,
                    mass,
                    most,
                    "%s: the %s can leave upwards only; it has to be lifted out."
                            .formatted(name, piece));
        }
    }
}
