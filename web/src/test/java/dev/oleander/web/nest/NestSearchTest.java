package dev.oleander.web.nest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.nesting.NestCheck;
import dev.oleander.progress.CancelledException;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.longwork.WorkProgress;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A search whose node ends in the middle goes on from what it had found. */
class NestSearchTest extends WebTest {

    @Autowired private NestSearch searches;
    @Autowired private NestResultTable table;
    @Autowired private NestMaker maker;
    @Autowired private NestTimes times;
    @Autowired private JdbcTemplate sql;

    private static final NestWish WISH = new NestWish(NestWish.From.AFRESH, 4, null, null, 1, 1);

    private long nest(String name) {
        long plates = makeJobInMillimetres("cleat_backing_plate", name, 1);
        return maker.make(
                jobs.present(plates).document().order().withName(name + " nested"),
                NestWishes.ofParts(
                        List.of(new NestWishes.PartsWish(plates, "", Map.of("quantity", "8")))),
                person("mira"));
    }

    /** Ends a search after some seconds. */
    private record Ending(double seconds, long began) implements WorkProgress {

        static Ending after(double seconds) {
            return new Ending(seconds, System.nanoTime());
        }

        @Override
        public void at(double done, String doing) {
            if (System.nanoTime() - began > 1e9 * seconds) {
                throw new CancelledException();
            }
        }

        @Override
        public void keep(String soFar) {}
    }

    /** Ends a search as soon as something that it found is written down. */
    private WorkProgress endingWhenFound(long nest, int number) {
        return new WorkProgress() {
            @Override
            public void at(double done, String doing) {
                if (searches.result(nest, number).best().isPresent()) {
                    throw new CancelledException();
                }
            }

            @Override
            public void keep(String soFar) {}
        };
    }

    @Test
    void whatANodeHadFoundWhenItEndedIsWhereTheNextGoesOn() {
        long nest = nest("Taken over");
        int number = table.add(nest, jobs.present(nest).step(), person("mira").id(), WISH);
        String key = nest + "/" + number;
        assertThatThrownBy(() -> searches.run(key, endingWhenFound(nest, number)))
                .isInstanceOf(CancelledException.class);
        NestResult left = searches.result(nest, number);
        assertThat(left.state()).isEqualTo(NestResult.State.RUNNING);
        NestResult.Best best = left.best().orElseThrow();

        searches.run(key, Ending.after(300));
        NestResult done = searches.result(nest, number);
        assertThat(done.state()).isEqualTo(NestResult.State.DONE);
        assertThat(done.seconds()).isGreaterThan(left.seconds());
        assertThat(done.best().orElseThrow().cost()).isLessThanOrEqualTo(best.cost() + 1e-9);
        assertThat(done.course()).hasSizeGreaterThan(left.course().size());
        var result = jobs.view(nest).result();
        var laid = result.document().nest().orElseThrow().choices().laid();
        assertThat(laid).isEqualTo(done.best().get().sheets());
        assertThat(NestCheck.faults(Nests.task(result), laid)).isEmpty();
        // over is over, however often it is begun
        searches.run(key, Ending.after(0));
        assertThat(searches.result(nest, number)).isEqualTo(done);
    }

    @Test
    void aJobThatWasChangedMeanwhileDoesNotTakeIt() {
        long nest = nest("Changed meanwhile");
        int number = table.add(nest, jobs.present(nest).step(), person("mira").id(), WISH);
        jobs.edit(
                nest,
                "renamed",
                before ->
                        before.document()
                                .withOrder(before.document().order().withName("Another name")),
                person("mira"));
        searches.run(nest + "/" + number, Ending.after(300));
        assertThat(searches.result(nest, number).best()).isPresent();
        assertThat(jobs.present(nest).document().nest().orElseThrow().choices().laid()).isEmpty();
    }

    @Test
    void whatANodeThatEndedHasLeftIsTakenByWhoStopsTheSearch() {
        long nest = nest("Left behind");
        int number = table.add(nest, jobs.present(nest).step(), person("mira").id(), WISH);
        WorkProgress ending = endingWhenFound(nest, number);
        assertThatThrownBy(() -> searches.run(nest + "/" + number, ending))
                .isInstanceOf(CancelledException.class);
        sql.update(
                "update nest_result set told_at = now() - interval '1 minute' where job_id = ?",
                nest);
        searches.stop(nest);
        NestResult stopped = searches.result(nest, number);
        assertThat(stopped.state()).isEqualTo(NestResult.State.STOPPED);
        assertThat(jobs.present(nest).document().nest().orElseThrow().choices().laid())
                .isEqualTo(stopped.best().orElseThrow().sheets());
        int step = jobs.present(nest).step();
        // over is over: nothing is taken twice
        searches.stop(nest);
        assertThat(jobs.present(nest).step()).isEqualTo(step);
    }

    @Test
    void whoSearchesAgainBeginsFromTheJobAsItIs() throws InterruptedException {
        long nest = nest("Searched again");
        int number = table.add(nest, jobs.present(nest).step(), person("mira").id(), WISH);
        WorkProgress ending = endingWhenFound(nest, number);
        assertThatThrownBy(() -> searches.run(nest + "/" + number, ending))
                .isInstanceOf(CancelledException.class);
        sql.update(
                "update nest_result set told_at = now() - interval '1 minute' where job_id = ?",
                nest);
        int step = jobs.present(nest).step();
        int again = searches.begin(nest, WISH, person("mira"));
        assertThat(searches.result(nest, again).step()).isEqualTo(step);
        assertThat(searches.result(nest, number).state()).isEqualTo(NestResult.State.STOPPED);
        // else the new search could not be taken: the job would have been changed meanwhile
        until(() -> searches.result(nest, again).state().isOver());
        assertThat(searches.result(nest, again).state()).isEqualTo(NestResult.State.DONE);
        assertThat(jobs.present(nest).step()).isEqualTo(step + 1);
    }

    @Test
    void aResultTellsItsMachineTimeBeforeItIsTaken() {
        long nest = nest("Timed");
        int number = table.add(nest, jobs.present(nest).step(), person("mira").id(), WISH);
        searches.run(nest + "/" + number, Ending.after(300));
        NestTimes.Times told = times.of(nest, number);
        var result = jobs.finished(nest).result();
        assertThat(told.problem()).isEmpty();
        assertThat(told.seconds()).isCloseTo(result.secondsInAll(), within(1e-9)).isPositive();
        assertThat(told.machine())
                .isCloseTo(result.machine().hourlyRate() * told.seconds() / 3600, within(1e-9));
        double cost = searches.requireBest(nest, number).cost();
        assertThat(told.all()).isCloseTo(cost + told.machine(), within(1e-9));
        assertThat(told.each()).isCloseTo(told.all() / 8, within(1e-9));
        assertThatThrownBy(() -> times.of(nest, number + 1)).isInstanceOf(NotFoundException.class);
    }

    @Test
    void searchesThatBeginAtTheSameMomentHaveNumbersOfTheirOwn() throws Exception {
        long nest = nest("Many at once");
        int step = jobs.present(nest).step();
        long mira = person("mira").id();
        ExecutorService many = Executors.newFixedThreadPool(4);
        try {
            List<Callable<Integer>> calls =
                    Collections.nCopies(24, () -> table.add(nest, step, mira, WISH));
            Set<Integer> numbers = new TreeSet<>();
            for (Future<Integer> number : many.invokeAll(calls)) {
                numbers.add(number.get());
            }
            assertThat(numbers).hasSize(24).contains(1, 24);
        } finally {
            many.shutdown();
            table.stop(nest);
        }
    }
}
