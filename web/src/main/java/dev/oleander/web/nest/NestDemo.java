package dev.oleander.web.nest;

import dev.oleander.nesting.choice.Loop;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.demo.DemoJobs;
import dev.oleander.web.demo.DemoWork;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobRepository;
import dev.oleander.web.job.store.Stage;
import dev.oleander.web.stock.Remnants;
import java.util.List;
import java.util.Map;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** A nest of the thin stainless jobs of the yard, with two remnants that lie about. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class NestDemo implements DemoWork {

    private static final String MATERIAL = "stainless";
    private static final double THICKNESS = 2;
    private static final int MOST_JOBS = 5;

    /** s; long enough to look at. */
    private static final double SECONDS = 12;

    private final NestMaker maker;
    private final NestSearch searches;
    private final JobRepository repository;
    private final Remnants remnants;

    NestDemo(NestMaker maker, NestSearch searches, JobRepository repository, Remnants remnants) {
        this.maker = maker;
        this.searches = searches;
        this.repository = repository;
        this.remnants = remnants;
    }

    @Override
    public void make(DemoJobs jobs, SignedIn by, SignedIn other) {
        remnants.add(MATERIAL, THICKNESS, 720, 480, List.of(), "rack 2, top", by);
        remnants.add(MATERIAL, THICKNESS, List.of(bay()), "rack 2, floor", other);
        List<NestWishes.PartsWish> parts =
                repository.findAlike(MATERIAL, THICKNESS, "", Limit.of(MOST_JOBS)).stream()
                        .filter(job -> job.stage() != Stage.SHAPE)
                        .map(Job::id)
                        .sorted()
                        .map(id -> new NestWishes.PartsWish(id, "", Map.of()))
                        .toList();
        JobDocument.Order order =
                new JobDocument.Order(
                        "Thin stainless, this week", "teasel", MATERIAL, Typed.of(THICKNESS), 1);
        long nest = maker.make(order, NestWishes.ofParts(parts), by);
        searches.begin(
                nest,
                new NestWish(
                        NestWish.From.AFRESH, SECONDS, null, null, 1, NestSearch.usualThreads()),
                by);
    }

    /** A sheet of which a corner was cut before. */
    private static Loop bay() {
        return new Loop(
                List.of(
                        0.0, 0.0, 0.0, 1000.0, 0.0, 0.0, 1000.0, 300.0, 0.0, 420.0, 300.0, 0.0,
                        420.0, 620.0, 0.0, 0.0, 620.0, 0.0));
    }
}
