package dev.oleander.web.release;

import dev.oleander.book.BookRow;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.FileNames;
import dev.oleander.dialect.Parameter;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.ProgramText;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes the text of a run as a release would hold it, reads it back and compares. */
@Component
public class Previews {

    private final RevisionNames revisions;
    private final Clock clock;

    Previews(RevisionNames revisions, Clock clock) {
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * The text the next release would hold.
     *
     * @throws DialectException when the format cannot say the program
     */
    public ProgramPreview of(JobView job) {
        return of(job, ReleaseWish.NONE);
    }

    /**
     * @throws DialectException when a parameter is not possible, or the format cannot say it
     */
    ProgramPreview of(JobView job, ReleaseWish wish) {
        return of(job, job.result().dialect(), wish);
    }

    /**
     * The text the next release would hold if its format were another one.
     *
     * @throws DialectException when it cannot say the program
     */
    public ProgramPreview of(JobView job, Dialect format) {
        return of(job, format, ReleaseWish.NONE);
    }

    private ProgramPreview of(JobView job, Dialect format, ReleaseWish wish) {
        String revision = revisions.next(job.id(), wish.isTrial());
        Map<String, String> frame = frame(job, revision);
        if (wish.isTrial()) {
            int count = wish.stops().size();
            frame.merge(
                    "revision",
                    " trial of %d %s".formatted(count, count == 1 ? "stop" : "stops"),
                    String::concat);
        }
        requireKnown(wish, format);
        for (Parameter parameter : format.parameters()) {
            frame.put(parameter.name(), parameter.value(wish.parameters().get(parameter.name())));
        }
        SplitWriter.Texts texts =
                ProgramText.of(job.result(), format, frame, Set.copyOf(wish.stops()));
        Map<String, String> named = new LinkedHashMap<>(frame);
        named.put("revision", revision);
        String fileName = FileNames.of(format, named);
        return new ProgramPreview(job, revision, fileName, texts, frame);
    }

    private static void requireKnown(ReleaseWish wish, Dialect format) {
        List<String> known = format.parameters().stream().map(Parameter::name).toList();
        for (String name : wish.parameters().keySet()) {
            if (!known.contains(name)) {
                throw new RefusedEditException(
                        known.isEmpty()
                                ? "The format %s has no parameters; \"%s\" was given."
                                        .formatted(format.title(), name)
                                : "The format %s has no parameter \"%s\"; it has %s."
                                        .formatted(format.title(), name, String.join(", ", known)));
            }
        }
    }

    private Map<String, String> frame(JobView job, String revision) {
        JobResult result = job.result();
        SheetLayout layout = result.run().layout();
        SetUp setUp = result.setUp();
        int runs = result.runs().size();
        Map<String, String> frame = new LinkedHashMap<>();
        frame.put("id", String.valueOf(job.id()));
        frame.put("number", String.format(Locale.ROOT, "%04d", job.id() % 10_000));
        frame.put("job", result.document().name());
        frame.put("revision", runs == 1 ? revision : revision + " sheet " + setUp.number());
        frame.put("date", LocalDate.now(clock.withZone(ZoneOffset.UTC)).toString());
        frame.put("quantity", String.valueOf(setUp.heads().count() * layout.placed()));
        frame.put("material", result.document().material());
        frame.put("thickness", Numbers.plain(result.document().thickness().value(), 2));
        frame.put("stockWidth", Numbers.plain(layout.stock().width(), 1));
        frame.put("stockHeight", Numbers.plain(layout.stock().height(), 1));
        frame.put("run", String.valueOf(setUp.number()));
        frame.put("runs", String.valueOf(runs));
        frame.put("times", String.valueOf(setUp.count()));
        frame.put("heads", setUp.heads().sentence());
        frame.put(
                "data",
                result.dataInUse().stream().map(BookRow::label).collect(Collectors.joining("; ")));
        return frame;
    }
}
