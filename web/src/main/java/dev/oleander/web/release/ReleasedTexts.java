package dev.oleander.web.release;

import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.draw.Stamp;
import dev.oleander.plan.bed.Demand;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.counter.NumberTakenException;
import dev.oleander.web.counter.ShopCounters;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.Stamps;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.result.JobComputer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * Texts of what is released say what it is, and their numbers are taken from the shop in the same
 * transaction: none is given twice.
 */
@Component
class ReleasedTexts implements WithRelease {

    private static final String REMEDY = "release/texts";
    private static final String OFFER = "Bring the texts up to date";

    private final Stamps stamps;
    private final ShopCounters counters;
    private final JobComputer computer;

    ReleasedTexts(Stamps stamps, ShopCounters counters, JobComputer computer) {
        this.stamps = stamps;
        this.counters = counters;
        this.computer = computer;
    }

    /**
     * Numbers of a counter.
     *
     * @param last number that is taken
     */
    private record Range(long first, long last) {

        Range with(Range other) {
            return new Range(Math.min(first, other.first), Math.max(last, other.last));
        }
    }

    /** A drawing that is cut, how often, and the numbers in it. */
    private record Cut(int copies, List<Drawn.Numbers> numbers) {}

    @Override
    public Optional<Obstacle> obstacle(JobView job) {
        Optional<String> behind = behind(job);
        if (behind.isPresent()) {
            return Optional.of(new Obstacle(behind.get(), REMEDY, OFFER));
        }
        return cuts(job.document()).stream()
                .filter(cut -> cut.copies() > 1)
                .flatMap(cut -> cut.numbers().stream().map(numbers -> repeated(cut, numbers)))
                .findFirst()
                .map(sentence -> new Obstacle(sentence, "", ""));
    }

    private static String repeated(Cut cut, Drawn.Numbers numbers) {
        return "%d copies are cut, and each would have the numbers %d to %d of \"%s\": draw as many as there are to be, and cut one."
                .formatted(cut.copies(), numbers.first(), numbers.last(), numbers.counter());
    }

    /** What texts say that does not hold any more. */
    private Optional<String> behind(JobView job) {
        JobDocument document = job.document();
        Stamp said = document.shape().stamp();
        Stamp now = stamps.stamped(job.id(), document).shape().stamp();
        if (said.equals(now)) {
            return Optional.empty();
        }
        List<String> behind = new ArrayList<>();
        add(behind, "revision %s, it will be %s", said.revision(), now.revision());
        add(behind, "%s, it is %s", said.date(), now.date());
        add(behind, "job %s, it is %s", said.job(), now.job());
        add(behind, "part %s, it is %s", said.part(), now.part());
        now.counters()
                .forEach(
                        (name, next) ->
                                add(
                                        behind,
                                        "number %s, the next of \"" + name + "\" is %s",
                                        said.counters().getOrDefault(name, 1L),
                                        next));
        return Optional.of("The texts say " + String.join("; ", behind) + ".");
    }

    private static void add(List<String> behind, String sentence, Object said, Object now) {
        if (!said.equals(now)) {
            behind.add(sentence.formatted(said, now));
        }
    }

    @Override
    public Runnable prepared(JobView job, String revision, SignedIn who) {
        Map<String, Range> taken = new TreeMap<>();
        cuts(job.document()).stream()
                .flatMap(cut -> cut.numbers().stream())
                .forEach(
                        n -> taken.merge(n.counter(), new Range(n.first(), n.last()), Range::with));
        return () -> taken.forEach((counter, range) -> take(counter, range, job.id(), revision));
    }

    private void take(String counter, Range range, long job, String revision) {
        try {
            counters.take(counter, range.first(), range.last(), job, revision);
        } catch (NumberTakenException gone) {
            throw new ReleaseRefusedException(gone.getMessage(), List.of());
        }
    }

    /** Drawings that take numbers: the job's own, or those whose parts it nests. */
    private List<Cut> cuts(JobDocument document) {
        List<Cut> cuts = new ArrayList<>();
        cuts.add(new Cut(document.wanted(), numbers(document)));
        document.nest().ifPresent(nest -> cuts.addAll(nested(nest)));
        return cuts.stream().filter(cut -> cut.copies() > 0 && !cut.numbers().isEmpty()).toList();
    }

    private List<Cut> nested(NestDocument nest) {
        Demand demand = nest.choices().demand();
        List<Cut> cuts = new ArrayList<>();
        nest.sources()
                .forEach(
                        (letter, source) -> {
                            int most =
                                    demand.of().entrySet().stream()
                                            .filter(e -> e.getKey().source().equals(letter))
                                            .mapToInt(Map.Entry::getValue)
                                            .max()
                                            .orElse(0);
                            cuts.add(new Cut(most, numbers(source.document())));
                        });
        return cuts;
    }

    private List<Drawn.Numbers> numbers(JobDocument document) {
        return Stamp.counters(document.shape().steps()).isEmpty()
                ? List.of()
                : computer.result(document).shape().drawn().numbers().stream()
                        .filter(Drawn.Numbers::areTaken)
                        .toList();
    }
}
