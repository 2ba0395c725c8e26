package dev.oleander.work.router.plan;

import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.Entry.Kind;
import java.util.List;
import java.util.Optional;

/** Which ways down a tool can go as they are wished. */
final class Entries {

    private Entries() {}

    /**
     * @throws CannotException when the tool cannot go down so
     */
    static Descent of(Tool tool, Operation operation) {
        return of(tool, operation.what().entry());
    }

    /** The same. */
    static Descent of(Tool tool, Entry entry) {
        boolean straight = entry.kind().filter(Kind.PLUNGE::equals).isPresent();
        if (straight && !tool.edges().cutsCentre()) {
            throw new CannotException(
                    "Tool %d does not cut in its middle: it cannot plunge. Let it ramp, or drill a start hole.",
                    tool.number());
        }
        return ofAny(tool, entry);
    }

    /** The same where it may come straight down in a hole; see {@link StartHoles#require}. */
    static Descent ofAny(Tool tool, Entry entry) {
        double most = tool.edges().rampAngle();
        double angle = entry.angle().orElse(most);
        if (angle > most) {
            throw new CannotException(
                    "A way down at %s°; tool %d goes down at up to %s°.",
                    Numbers.plain(angle, 3), tool.number(), Numbers.plain(most, 3));
        }
        entry.radius().ifPresent(r -> requireHelix(tool, r));
        return new Descent(
                entry.kind(),
                Math.toRadians(angle),
                entry.radius(),
                tool.edges().deadDiameter(),
                tool.diameter() / 2,
                List.of());
    }

    private static void requireHelix(Tool tool, double radius) {
        if (radius >= tool.diameter() / 2) {
            throw new CannotException(
                    "A helix with a radius of %s mm leaves a post; with tool %d it must be below %s mm.",
                    Numbers.plain(radius, 3), tool.number(), Numbers.plain(tool.diameter() / 2, 3));
        }
        if (radius < tool.edges().deadDiameter() / 2) {
            throw new CannotException(
                    "A helix with a radius of %s mm: tool %d does not cut in its middle of %s mm, and a post would stay.",
                    Numbers.plain(radius, 3),
                    tool.number(),
                    Numbers.plain(tool.edges().deadDiameter(), 3));
        }
    }

    /** What to say when there is no room to go down. */
    static CannotException noRoom(Tool tool, Descent down, String feature) {
        Optional<Kind> kind = down.kind();
        if (down.dead() > 0 && kind.filter(Kind.HELIX::equals).isPresent()) {
            return new CannotException(
                    "Tool %d does not cut in its middle and there is no room for a helix of %s mm in %s: drill a start hole.",
                    tool.number(), Numbers.plain(down.dead(), 2), feature);
        }
        return new CannotException(
                "Tool %d does not find a way down of at most %s° in %s: drill a start hole.",
                tool.number(), Numbers.plain(Math.toDegrees(down.ramp()), 2), feature);
    }
}
