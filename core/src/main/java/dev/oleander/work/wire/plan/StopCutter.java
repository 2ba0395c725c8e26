package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WirePass;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireCut.Role;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.cut.WireVisit.Cut;
import dev.oleander.work.wire.cut.WireVisit.Severed;
import dev.oleander.work.wire.cut.WireVisit.Step;
import dev.oleander.work.wire.cut.WireVisit.Thread;
import dev.oleander.work.wire.cut.WireVisit.Wait;
import dev.oleander.work.wire.flank.ProfileWork;
import dev.oleander.work.wire.flank.ProfileWork.Stretch;
import dev.oleander.work.wire.hold.Holds;
import dev.oleander.work.wire.hold.Holds.Hold;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes the visits of one feature of one copy. */
final class StopCutter {

    /** Suffixes of ids of later visits. */
    static final String OFF = "off";

    static final String SKIMS = "skims";

    private final Subject subject;
    private final WireSettings settings;
    private final double length;
    private final ProfileWork work;
    private final double holdSeconds;
    private final List<Hold> holds;
    private final Holds.Ends ends;

    /**
     * What is cut.
     *
     * @param stop id of its first visit
     * @param hole where the wire is threaded, on the table
     */
    record Subject(String stop, String feature, int copy, Point hole) {}

    StopCutter(
            Subject subject,
            WireSettings settings,
            double length,
            List<Hold> holds,
            Holds.Ends ends,
            ProfileWork work,
            double holdSeconds) {
        this.ends = ends;
        this.subject = subject;
        this.settings = settings;
        this.length = length;
        this.holds = holds;
        this.work = work;
        this.holdSeconds = holdSeconds;
    }

    List<WireVisit> visits(WireOrder order) {
        return switch (settings.slug()) {
            case DROP -> List.of(whole(dropping()));
            case STOP_BEFORE -> List.of(whole(stopping()));
            case CORELESS ->
                    throw new IllegalStateException("coreless stops have their own cutter");
            case HOLD_NOW, HOLD_LATER, HOLDS -> held(order);
        };
    }

    private WireVisit whole(List<Step> steps) {
        return visit("", WireVisit.Role.WHOLE, steps, true);
    }

    private WireVisit visit(String name, WireVisit.Role role, List<Step> steps, boolean frees) {
        return new WireVisit(
                FeatureKey.parse(subject.stop()).visit(name).text(),
                subject.feature(),
                subject.copy(),
                role,
                steps,
                frees);
    }

    // ---- without a hold

    private List<Step> dropping() {
        List<Step> steps = threaded();
        double end = length + ends.overlap();
        Seq seq = new Seq(steps);
        seq.cut(new Stretch(Role.ROUGH, 1, 0, end, false));
        if (settings.kind() == WireKind.OPENING) {
            skims(seq, 0, end, Role.SKIM, true);
        }
        steps.add(new Severed());
        return steps;
    }

    private List<Step> stopping() {
        List<Step> steps = threaded();
        double last = ends.last();
        double end = length + ends.overlap();
        Seq seq = new Seq(steps);
        steps.add(
                new Cut(
                        work.cut(
                                new Stretch(Role.ROUGH, 1, 0, last, false),
                                Optional.of(subject.hole()),
                                true)));
        steps.add(
                wait("hold the %s before its last %s mm".formatted(piece(), plain(length - last))));
        WireCut rest =
                work.cut(new Stretch(Role.CUT_OFF, 1, last, end, false), Optional.empty(), false);
        steps.add(new Cut(rest));
        seq.at = rest.off();
        seq.forwardEnd = true;
        if (settings.kind() == WireKind.OPENING) {
            skims(seq, 0, end, Role.SKIM, true);
        }
        steps.add(new Severed());
        return steps;
    }

    // ---- with holds

    private List<WireVisit> held(WireOrder order) {
        boolean passByPass = order == WireOrder.PASS_BY_PASS;
        boolean later = settings.slug() != SlugHandling.HOLD_NOW;
        boolean die = settings.kind() == WireKind.OPENING;
        if (passByPass && die) {
            List<WireVisit> visits = new ArrayList<>();
            visits.add(visit("", WireVisit.Role.ROUGH, open(false), false));
            visits.add(visit(OFF, WireVisit.Role.CUT_OFF, off(false), true));
            if (settings.passes() > 1) {
                visits.add(visit(SKIMS, WireVisit.Role.SKIMS, allRound(), false));
            }
            return visits;
        }
        boolean split = passByPass || (later && order != WireOrder.ONE_AT_A_TIME);
        if (split && passByPass && settings.passes() > 1) {
            return List.of(
                    visit("", WireVisit.Role.ROUGH, open(false), false),
                    visit(SKIMS, WireVisit.Role.SKIMS, openSkims(), false),
                    visit(OFF, WireVisit.Role.CUT_OFF, off(true), true));
        }
        if (split) {
            WireVisit.Role end =
                    settings.offSkims() && settings.passes() > 1
                            ? WireVisit.Role.END
                            : WireVisit.Role.CUT_OFF;
            return List.of(
                    visit("", WireVisit.Role.MAIN, open(true), false),
                    visit(OFF, end, off(true), true));
        }
        List<Step> steps = open(true);
        List<Step> ending = off(true);
        steps.addAll(ending);
        return List.of(whole(steps));
    }

    /** Rough cuts of all that is open between the holds, with their skims if wished. */
    private List<Step> open(boolean withSkims) {
        List<Step> steps = new ArrayList<>();
        double from = 0;
        for (Hold hold : holds) {
            steps.addAll(threaded());
            Seq seq = new Seq(steps);
            seq.cut(new Stretch(Role.ROUGH, 1, from, hold.from(), false));
            if (withSkims) {
                skims(seq, from, hold.from(), Role.SKIM, false);
            }
            steps.add(new Severed());
            from = hold.to();
        }
        return steps;
    }

    /** Skims of what is open, in a visit of their own. */
    private List<Step> openSkims() {
        List<Step> steps = new ArrayList<>();
        double from = 0;
        for (Hold hold : holds) {
            steps.addAll(threaded());
            skims(new Seq(steps), from, hold.from(), Role.SKIM, false);
            steps.add(new Severed());
            from = hold.to();
        }
        return steps;
    }

    /** Skims of the whole contour when the slug is gone. */
    private List<Step> allRound() {
        List<Step> steps = threaded();
        skims(new Seq(steps), 0, length + ends.overlap(), Role.SKIM, true);
        steps.add(new Severed());
        return steps;
    }

    /** The cut-offs; before the last one the machine waits, since it frees the piece. */
    private List<Step> off(boolean withSkims) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < holds.size(); i++) {
            Hold hold = holds.get(i);
            boolean last = i == holds.size() - 1;
            if (last && settings.holdStop() != HoldStop.NEVER) {
                steps.add(wait("hold the %s: glue, magnet or clamp".formatted(piece())));
            }
            steps.addAll(threaded());
            Seq seq = new Seq(steps);
            boolean reversed = settings.reversed() && last;
            seq.cut(new Stretch(Role.CUT_OFF, 1, hold.from(), hold.to(), reversed));
            if (withSkims && settings.offSkims()) {
                double to = hold.to() + (last ? ends.overlap() : 0);
                skims(seq, ends.beforeHold().get(i), to, Role.OFF_SKIM, false);
            }
            steps.add(new Severed());
        }
        return steps;
    }

    // ---- skims

    /**
     * @param round whether the stretch closes, so that every pass can begin where it began
     */
    private void skims(Seq seq, double from, double to, Role role, boolean round) {
        for (int pass = 2; pass <= settings.passes(); pass++) {
            boolean reversed = settings.alternate() && seq.forwardEnd;
            boolean apart = !settings.alternate() && !round && seq.forwardEnd;
            if (apart) {
                seq.threadAgain();
            }
            seq.cut(new Stretch(role, pass, from, to, reversed));
        }
    }

    /** Where the wire is while steps are added. */
    private final class Seq {
        private final List<Step> steps;
        private Optional<Point> at;

        /** Whether it stands at the forward end of the stretch. */
        private boolean forwardEnd;

        Seq(List<Step> steps) {
            this.steps = steps;
            this.at = Optional.of(subject.hole());
        }

        void cut(Stretch stretch) {
            WireCut cut = work.cut(stretch, at, false);
            steps.add(new Cut(cut));
            at = cut.off();
            forwardEnd = !stretch.reversed();
        }

        void threadAgain() {
            steps.add(new Severed());
            steps.addAll(threaded());
            at = Optional.of(subject.hole());
            forwardEnd = false;
        }
    }

    private List<Step> threaded() {
        List<Step> steps = new ArrayList<>();
        steps.add(new Thread(subject.hole()));
        return steps;
    }

    private Wait wait(String reason) {
        return new Wait(settings.holdStop() == HoldStop.ALWAYS, holdSeconds, reason);
    }

    private String piece() {
        return settings.kind() == WireKind.PUNCH ? "part" : "slug";
    }

    private static String plain(double mm) {
        return Numbers.plain(mm, 2);
    }

    // ---- coreless

    /**
     * Everything is eroded: rings from the hole outwards, the rough pass as the outermost, skims.
     *
     * @param rings way from the hole over all rings but the outermost
     */
    List<WireVisit> coreless(List<Segment> rings) {
        List<Step> steps = threaded();
        WireRow row = settings.row();
        WirePass data = row.passes().get(0);
        Seq seq = new Seq(steps);
        if (!rings.isEmpty()) {
            Optional<Point> end = Optional.of(rings.get(rings.size() - 1).end());
            steps.add(
                    new Cut(
                            new WireCut(
                                    1,
                                    Role.RING,
                                    row.offset(1),
                                    data.register(),
                                    data.condition(),
                                    row.feed(1),
                                    settings.wireLeft(),
                                    List.of(),
                                    List.of(),
                                    0,
                                    rings.stream().map(Ruling::upright).toList(),
                                    Optional.empty(),
                                    Optional.empty(),
                                    Optional.empty(),
                                    end,
                                    false)));
            seq.at = end;
        }
        double to = length + ends.overlap();
        seq.cut(new Stretch(Role.ROUGH, 1, 0, to, false));
        skims(seq, 0, to, Role.SKIM, true);
        steps.add(new Severed());
        return List.of(visit("", WireVisit.Role.WHOLE, steps, false));
    }
}
