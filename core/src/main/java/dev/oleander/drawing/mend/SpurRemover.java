package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes out spurs: stretches that a chain is drawn along and straight back over. They enclose
 * nothing, and would be cut twice.
 */
final class SpurRemover {

    /** Cosine between a way out and the way back. */
    private static final double BACK = -0.999;

    private final MendOptions options;
    private final List<Fault> faults;

    SpurRemover(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    /** The chain without its spurs when they are mended, else as it is; each is told. */
    Chain remove(Chain chain) {
        List<Segment> kept = new ArrayList<>();
        List<Spur> spurs = new ArrayList<>();
        chain.segments().forEach(s -> add(s, kept, spurs));
        boolean closed = chain instanceof Contour;
        while (closed && kept.size() > 3 && isBack(kept.get(kept.size() - 1), kept.get(0))) {
            add(kept.remove(0), kept, spurs);
        }
        boolean usable = !kept.isEmpty() && !(closed && kept.size() < 2);
        if (spurs.isEmpty() || !usable) {
            return chain;
        }
        boolean mends = options.does(MendOptions.Step.SPURS);
        spurs.forEach(s -> report(s, mends));
        if (!mends) {
            return chain;
        }
        return closed ? new Contour(joined(kept)) : new Path(kept);
    }

    /** A way out and back: where it turns, and what is drawn of it, both ways, mm. */
    private record Spur(Point tip, double length) {}

    private void add(Segment next, List<Segment> kept, List<Spur> spurs) {
        if (kept.isEmpty() || !isBack(kept.get(kept.size() - 1), next)) {
            kept.add(next);
            return;
        }
        Segment out = kept.remove(kept.size() - 1);
        double over = Math.min(out.length(), next.length());
        note(new Spur(next.start(), 2 * over), spurs);
        if (out.length() - next.length() > options.gap()) {
            Segment rest = out.between(0, 1 - next.length() / out.length());
            kept.add(rest.withEnds(out.start(), next.end()));
        } else if (next.length() - out.length() > options.gap()) {
            Segment rest = next.between(out.length() / next.length(), 1);
            add(rest.withEnds(out.start(), next.end()), kept, spurs);
        } else if (!kept.isEmpty()) {
            Segment before = kept.remove(kept.size() - 1);
            kept.add(before.withEnds(before.start(), next.end()));
        }
    }

    /** A spur of several pieces is one. */
    private static void note(Spur spur, List<Spur> spurs) {
        int last = spurs.size() - 1;
        boolean goesOn =
                last >= 0
                        && spurs.get(last).tip().distance(spur.tip())
                                <= spurs.get(last).length() / 2 + 1e-6;
        if (goesOn) {
            Spur longer = spurs.get(last);
            spurs.set(last, new Spur(longer.tip(), longer.length() + spur.length()));
        } else {
            spurs.add(spur);
        }
    }

    private boolean isBack(Segment out, Segment back) {
        if (out.direction(1).dot(back.direction(0)) > BACK) {
            return false;
        }
        boolean outIsLonger = out.length() >= back.length();
        Segment longer = outIsLonger ? out : back;
        Segment shorter = outIsLonger ? back : out;
        Point far = outIsLonger ? shorter.end() : shorter.start();
        return longer.distance(far) <= options.gap()
                && longer.distance(shorter.middle()) <= options.gap();
    }

    /** Small steps that are left where spurs were are closed. */
    private static List<Segment> joined(List<Segment> kept) {
        List<Segment> joined = new ArrayList<>();
        Point at = kept.get(kept.size() - 1).end();
        for (Segment segment : kept) {
            joined.add(segment.start().equals(at) ? segment : segment.withEnds(at, segment.end()));
            at = segment.end();
        }
        return joined;
    }

    private void report(Spur spur, boolean mended) {
        String sentence =
                "A spur is drawn out to (%s, %s) and straight back, %s of cut for nothing%s."
                        .formatted(
                                Numbers.plain(spur.tip().x(), 2),
                                Numbers.plain(spur.tip().y(), 2),
                                Numbers.length(spur.length()),
                                mended ? "; it was taken out" : "");
        faults.add(
                mended
                        ? Fault.mended(Fault.Kind.SPUR, spur.tip(), spur.length(), sentence)
                        : Fault.left(Fault.Kind.SPUR, spur.tip(), spur.length(), sentence));
    }
}
