package dev.oleander.web.work.wire;

import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.proof.Exit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What the view in space draws of a wire machine; lengths mm, heights above the lower side of the
 * work. Ways are flat lists of x and y.
 *
 * @param stock left, bottom, right, top
 * @param lowerGuide height, below 0
 * @param bodies of all profiles
 * @param upper by motion, x and y of the wire at the upper side of the work when it is over
 * @param threaded by motion, whether the wire is threaded when it is over
 */
public record SolidView(
        double height,
        double lowerGuide,
        double upperGuide,
        double[] stock,
        List<Body> bodies,
        List<PassWay> passes,
        double[] upper,
        boolean[] threaded) {

    private static final double CHORD = 0.02;

    private static final double STEPS = 1e4;

    /**
     * What a profile encloses.
     *
     * @param kind opening, punch or open
     * @param lower and {@code upper}: places that belong together
     * @param freed index of the motion after which the piece is free; -1 when it never is
     * @param exit up, down, both or none
     */
    public record Body(
            String id, String kind, double[] lower, double[] upper, int freed, String exit) {}

    /**
     * A pass of the wire.
     *
     * @param side 1 when the wire runs to the left of the profile, -1 to the right, 0 on none
     * @param offset mm
     */
    public record PassWay(int pass, int side, double offset, double[] lower, double[] upper) {}

    static SolidView of(JobResult result) {
        WirePlan plan = result.own(WireRun.class).map(WireRun::plan).orElseThrow();
        Program program = result.timeline().program();
        var box = plan.run().layout().stock();
        double height = plan.task().height();
        var wire = WireUnit.of(plan.task().machine());
        return new SolidView(
                height,
                -wire.lowerGuide(),
                height + wire.upperGap(),
                new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()},
                bodies(plan, program),
                passes(plan),
                upper(program),
                threaded(program));
    }

    private static List<Body> bodies(WirePlan plan, Program program) {
        Map<String, Integer> lastItem = new HashMap<>();
        for (int i = 0; i < program.size(); i++) {
            lastItem.put(program.items().get(i).origin().stop(), i);
        }
        Map<String, Integer> freed = new HashMap<>();
        for (Stop stop : plan.run().stops()) {
            WireVisit visit = plan.visits().get(stop.id());
            if (visit != null && visit.frees()) {
                freed.put(stop.subject(), lastItem.get(stop.id()));
            }
        }
        List<Body> bodies = new ArrayList<>();
        plan.surfaces()
                .forEach(
                        (id, surface) -> {
                            WireSettings settings = plan.settings().get(id);
                            if (settings != null) {
                                bodies.add(body(id, surface, settings, freed.getOrDefault(id, -1)));
                            }
                        });
        return bodies;
    }

    private static Body body(String id, List<Ruling> surface, WireSettings settings, int freed) {
        boolean closed = settings.kind() != WireKind.OPEN;
        String exit = closed ? word(Exit.of(surface, 2 * settings.row().offset(1))) : "none";
        List<Ruling> straight = straight(surface);
        return new Body(
                id,
                settings.kind().name().toLowerCase(Locale.ROOT),
                way(straight, true),
                way(straight, false),
                freed,
                exit);
    }

    private static String word(Exit exit) {
        if (exit.up() && exit.down()) {
            return "both";
        }
        if (exit.up()) {
            return "up";
        }
        return exit.down() ? "down" : "none";
    }

    private static List<PassWay> passes(WirePlan plan) {
        List<PassWay> passes = new ArrayList<>();
        for (Stop stop : plan.run().stops()) {
            WireVisit visit = plan.visits().get(stop.id());
            for (WireCut cut : visit == null ? List.<WireCut>of() : visit.cuts()) {
                List<Ruling> straight = straight(cut.way());
                int side = cut.role() == WireCut.Role.RING ? 0 : cut.wireLeft() ? 1 : -1;
                passes.add(
                        new PassWay(
                                cut.pass(),
                                side,
                                cut.offset(),
                                way(straight, true),
                                way(straight, false)));
            }
        }
        return passes;
    }

    private static List<Ruling> straight(List<Ruling> rulings) {
        List<Ruling> straight = new ArrayList<>();
        rulings.forEach(r -> straight.addAll(r.straight(CHORD)));
        return straight;
    }

    private static double[] way(List<Ruling> straight, boolean below) {
        double[] way = new double[2 * straight.size() + 2];
        for (int i = 0; i <= straight.size(); i++) {
            Ruling ruling = straight.get(Math.min(i, straight.size() - 1));
            var segment = below ? ruling.lower() : ruling.upper();
            Point p = i == straight.size() ? segment.end() : segment.start();
            way[2 * i] = rounded(p.x());
            way[2 * i + 1] = rounded(p.y());
        }
        return way;
    }

    private static double[] upper(Program program) {
        double[] upper = new double[2 * program.size()];
        Point at = Point.ORIGIN;
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            if (item instanceof Item.Rapid rapid) {
                at = rapid.to();
            } else if (item instanceof Item.TwoPlane both) {
                at = both.upper().to();
            } else if (item instanceof Item.Feed feed) {
                at = feed.segment().end();
            }
            upper[2 * i] = rounded(at.x());
            upper[2 * i + 1] = rounded(at.y());
        }
        return upper;
    }

    private static boolean[] threaded(Program program) {
        boolean[] threaded = new boolean[program.size()];
        boolean now = false;
        for (int i = 0; i < threaded.length; i++) {
            if (program.items().get(i) instanceof Item.Event event) {
                now =
                        event.kind() == EventKind.THREAD
                                || (now && event.kind() != EventKind.CUT_WIRE);
            }
            threaded[i] = now;
        }
        return threaded;
    }

    private static double rounded(double value) {
        return Math.rint(value * STEPS) / STEPS;
    }
}
