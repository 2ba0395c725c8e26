package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import java.util.ArrayList;
import java.util.List;

/** Everything that the wire runs over in a pass with the process on, in its order. */
final class WireWays {

    /** What a stretch is for. */
    enum Part {
        LEAD,
        PROFILE,
        OFF
    }

    /** A stretch of the way. */
    record Stretch(Part part, Ruling way) {}

    private WireWays() {}

    static List<Stretch> of(WireCut cut) {
        List<Stretch> all = new ArrayList<>();
        Ruling first = cut.way().get(0);
        if (cut.from().isPresent()) {
            Point at = cut.from().get();
            if (cut.square().isPresent()) {
                Point square = cut.square().get();
                add(all, Part.LEAD, at, at, square, square);
                at = square;
            }
            if (cut.arc().isPresent()) {
                Segment run = cut.arc().get().run();
                Point on = run.start();
                add(all, Part.LEAD, at, at, on, on);
                all.add(new Stretch(Part.LEAD, Ruling.upright(run)));
            } else {
                add(all, Part.LEAD, at, at, first.lower().start(), first.upper().start());
            }
        }
        cut.way().forEach(r -> all.add(new Stretch(Part.PROFILE, r)));
        Ruling last = cut.way().get(cut.way().size() - 1);
        cut.off()
                .ifPresent(
                        off ->
                                add(
                                        all,
                                        Part.OFF,
                                        last.lower().end(),
                                        last.upper().end(),
                                        off,
                                        off));
        return all;
    }

    private static void add(
            List<Stretch> all, Part part, Point lower, Point upper, Point toLower, Point toUpper) {
        boolean stays = lower.equals(toLower) || upper.equals(toUpper);
        if (!stays) {
            Line below = new Line(lower, toLower);
            boolean upright = lower.equals(upper) && toLower.equals(toUpper);
            all.add(
                    new Stretch(
                            part,
                            upright
                                    ? Ruling.upright(below)
                                    : new Ruling(below, new Line(upper, toUpper))));
        }
    }
}
