package dev.oleander.web.work.router;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.demo.DemoJobs;
import dev.oleander.web.demo.DemoWork;
import dev.oleander.web.job.document.JobDocument;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Work for the router: a pocket with the rest of its corners, holes by the hundred, a carved board,
 * notches round a wheel, a board that is faced and sawn, one that follows from its drawing alone,
 * and rows of holes for a bank of drills.
 */
@Component
@Order(2)
class RouterDemo implements DemoWork {

    /**
     * @param request what is to be done; null: what the drawing says
     * @param ignored layers of what is only to be seen
     * @param released whether a program was released
     */
    record Brief(
            String file,
            String name,
            String material,
            double thickness,
            int quantity,
            OperationsRequest request,
            List<String> ignored,
            boolean released) {}

    @Override
    public void make(DemoJobs jobs, SignedIn by, SignedIn other) {
        boolean first = true;
        for (Brief brief : briefs()) {
            make(jobs, brief, first ? by : other);
            first = !first;
        }
    }

    private static void make(DemoJobs jobs, Brief brief, SignedIn who) {
        JobDocument.Order order =
                new JobDocument.Order(
                        brief.name(),
                        "hazel",
                        brief.material(),
                        Typed.of(brief.thickness()),
                        brief.quantity());
        long job = jobs.make(brief.file(), order, d -> ignoring(d, brief.ignored()), who);
        if (brief.request() != null) {
            jobs.set(job, who, brief.request()::applied);
        }
        if (brief.released()) {
            jobs.release(job, who);
        }
    }

    private static JobDocument ignoring(JobDocument document, List<String> layers) {
        JobDocument changed = document;
        for (String layer : layers) {
            changed = changed.reshaped(shape -> shape.withLayer(layer, Purpose.IGNORE));
        }
        return changed;
    }

    private static List<Brief> briefs() {
        try (InputStream in = RouterDemo.class.getResourceAsStream("demo.json")) {
            return JsonMapper.shared().readValue(in, new TypeReference<List<Brief>>() {});
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
