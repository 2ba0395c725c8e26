package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.demo.DemoJobs;
import dev.oleander.web.demo.DemoWork;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.work.wire.choice.Matching;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import java.util.List;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Work for the wire machine: a punch with its die, a spline, leaning flanks. */
@Component
@Order(1)
class WireDemo implements DemoWork {

    @Override
    public void make(DemoJobs jobs, SignedIn by, SignedIn other) {
        long shim = job(jobs, "shim_punch_die", "Shim punch and die", 40, by);
        String outline = jobs.feature(shim, 1000);
        jobs.set(
                shim, by, d -> d.changed(WIRE, c -> c.withSets(Typed.of(0.015), List.of(outline))));
        job(jobs, "splined_coupling", "Splined coupling", 20, other);
        long funnel = job(jobs, "hawse_funnel_die", "Hawse funnel die", 30, by);
        // a die plate: everything is an opening in it
        jobs.open(funnel, 500, by);
        flanks(jobs, funnel, by);
    }

    private static void flanks(DemoJobs jobs, long funnel, SignedIn by) {
        String square = jobs.feature(funnel, 390);
        String circle = jobs.feature(funnel, 500);
        String taper = jobs.feature(funnel, 70);
        UpperChoice upper = new UpperChoice(circle, Matching.LENGTH, List.of(), null);
        jobs.set(
                funnel,
                by,
                d ->
                        d.with(
                                WIRE,
                                d.choices(WIRE)
                                        .withStop(square, WireChoice.NOTHING.withUpper(upper))
                                        .withStop(taper, tapered("1"))));
    }

    private static WireChoice tapered(String angle) {
        return WireChoice.NOTHING.withTaper(
                TaperChoice.NOTHING.withAngle(Typed.parse(angle, Map.of())));
    }

    private static long job(DemoJobs jobs, String file, String name, int height, SignedIn who) {
        JobDocument.Order order =
                new JobDocument.Order(name, "bracken", "tool steel", Typed.of(height), 1);
        return jobs.make(
                file + ".dxf",
                order,
                d -> d.withSheet(BedValues.STOCK.put(d.sheet(), "around")),
                who);
    }
}
