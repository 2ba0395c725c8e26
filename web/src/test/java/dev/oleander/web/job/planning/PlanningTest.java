package dev.oleander.web.job.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import dev.oleander.plan.bed.PlanException;
import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.job.planning.Planning.State;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.load.CallerLeftException;
import dev.oleander.web.load.Callers;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.util.unit.DataSize;

class PlanningTest {

    private static final long JOB = 7;

    private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
    private final CountDownLatch halfWay = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);
    private final AtomicBoolean complete = new AtomicBoolean();
    private Planning planning = patient(Duration.ofMillis(20));

    @AfterEach
    void close() {
        goOn.countDown();
        planning.close();
    }

    private Planning patient(Duration patience) {
        return new Planning(
                new OleanderSettings(
                        false,
                        "",
                        1,
                        patience,
                        Duration.ofMillis(20),
                        Duration.ofMillis(50),
                        1500,
                        DataSize.ofMegabytes(2),
                        Duration.ofDays(1),
                        ""),
                mock(LongPlans.class),
                events);
    }

    /** A plan that stands still half-way until told to go on. */
    private JobResult slowPlan() {
        JobResult result = mock(JobResult.class);
        when(result.isComplete()).thenAnswer(call -> complete.get());
        doAnswer(
                        call -> {
                            Progress progress = call.getArgument(0);
                            progress.at(0.5, "Placing leads");
                            halfWay.countDown();
                            assertThat(goOn.await(10, TimeUnit.SECONDS)).isTrue();
                            progress.at(0.9, "Proving");
                            complete.set(true);
                            return null;
                        })
                .when(result)
                .complete(any(), any());
        return result;
    }

    private Optional<State> await(long version, JobResult result) {
        return planning.await(new Planning.Wanted(JOB, version, 1, null, result));
    }

    private Optional<State> half(JobResult result) throws InterruptedException {
        await(1, result);
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        return await(1, result);
    }

    @Test
    void aQuickPlanIsWaitedFor() {
        planning.close();
        planning = patient(Duration.ofSeconds(10));
        goOn.countDown();
        assertThat(await(1, slowPlan())).isEmpty();
        assertThat(complete).isTrue();
        verifyNoInteractions(events);
    }

    @Test
    void inACrowdNobodyWaitsLong() throws Exception {
        planning.close();
        planning = patient(Duration.ofSeconds(60));
        JobResult slow = slowPlan();
        int crowd = 5 * Runtime.getRuntime().availableProcessors();
        for (int job = 100; job < 100 + crowd; job++) {
            planning.known(new Planning.Wanted(job, 1, 1, null, slow));
        }
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        long began = System.nanoTime();
        State state = await(1, slowPlan()).orElseThrow();
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(5));
        assertThat(state).isEqualTo(State.WAITING);
        goOn.countDown();
        verify(events, timeout(10_000)).publishEvent(new Planning.Ready(JOB));
    }

    @Test
    void aSlowPlanTellsHowFarItIsAndWhenItIsThere() throws Exception {
        State state = half(slowPlan()).orElseThrow();
        assertThat(state.isGoingOn()).isTrue();
        assertThat(state.percent()).isEqualTo(50);
        assertThat(state.doing()).isEqualTo("Placing leads");
        goOn.countDown();
        verify(events, timeout(10_000)).publishEvent(new Planning.Ready(JOB));
        assertThat(complete).isTrue();
    }

    @Test
    void aPlanIsThereBeforeItsProof() {
        planning.close();
        planning = patient(Duration.ofSeconds(30));
        JobResult result = mock(JobResult.class);
        when(result.isComplete()).thenAnswer(call -> complete.get());
        doAnswer(
                        call -> {
                            call.<Runnable>getArgument(1).run();
                            call.<Progress>getArgument(0).at(0.7, "Proving");
                            assertThat(goOn.await(10, TimeUnit.SECONDS)).isTrue();
                            complete.set(true);
                            return null;
                        })
                .when(result)
                .complete(any(), any());
        long began = System.nanoTime();
        assertThat(await(1, result).orElseThrow().isGoingOn()).isTrue();
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(5));
        goOn.countDown();
        verify(events, timeout(10_000)).publishEvent(new Planning.Ready(JOB));
    }

    @Test
    void aStoppedPlanStaysStoppedUntilItIsWantedAgain() throws Exception {
        JobResult result = slowPlan();
        half(result);
        planning.stop(JOB);
        goOn.countDown();
        State stopped = await(1, result).orElseThrow();
        assertThat(stopped.end()).isEqualTo(State.End.STOPPED);
        assertThat(stopped.done()).isCloseTo(0.5, within(1e-9));
        assertThat(complete).isFalse();
        planning.resume(JOB);
        await(1, result);
        verify(result, timeout(10_000).times(2)).complete(any(), any());
        long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
        while (!complete.get() && System.nanoTime() < deadline) {
            Thread.onSpinWait();
        }
        assertThat(await(1, result)).isEmpty();
    }

    @Test
    void aNewerStateOfTheJobStopsThePlanOfTheOlder() throws Exception {
        half(slowPlan());
        JobResult newer = mock(JobResult.class);
        await(2, newer);
        goOn.countDown();
        verify(newer, timeout(10_000)).complete(any(), any());
        planning.close();
        assertThat(complete).isFalse();
    }

    @Test
    void whoLooksAtAnOlderStateDoesNotStopTheNewerPlan() throws InterruptedException {
        JobResult newer = slowPlan();
        await(2, newer);
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        JobResult older = mock(JobResult.class);
        assertThat(await(1, older)).contains(State.WAITING);
        planning.finish(new Planning.Wanted(JOB, 1, 1, null, older), Duration.ofSeconds(10));
        verify(older, never()).complete(any(), any());
        goOn.countDown();
        planning.finish(new Planning.Wanted(JOB, 2, 1, null, newer), Duration.ofSeconds(10));
        assertThat(complete).isTrue();
    }

    @Test
    void aFailureIsToldAndNotTriedAgainByItself() {
        planning.close();
        planning = patient(Duration.ofSeconds(10));
        JobResult result = mock(JobResult.class);
        doAnswer(
                        call -> {
                            throw new IllegalStateException("on purpose, for a test");
                        })
                .when(result)
                .complete(any(), any());
        for (int i = 0; i < 2; i++) {
            assertThat(await(1, result).orElseThrow().end()).isEqualTo(State.End.FAILED);
        }
        verify(result).complete(any(), any());
    }

    @Test
    void plansAsideWaitForTheirTurnAndTellWhyThereIsNone() throws Exception {
        half(slowPlan());
        JobResult aside = mock(JobResult.class);
        doThrow(new PlanException("The stock is too small.")).when(aside).plan(any());
        Thread later =
                new Thread(
                        () -> {
                            try {
                                Thread.sleep(100);
                            } catch (InterruptedException stopped) {
                                Thread.currentThread().interrupt();
                            }
                            goOn.countDown();
                        });
        later.start();
        assertThatThrownBy(() -> planning.aside(aside))
                .isInstanceOf(PlanException.class)
                .hasMessage("The stock is too small.");
        later.join();
    }

    @Test
    void aPlanThatNobodyWaitsForAnyMoreEndsAndIsBegunAnewForTheNext() throws Exception {
        planning.close();
        planning = patient(Duration.ofSeconds(60));
        JobResult result = slowPlan();
        AtomicBoolean left = new AtomicBoolean();
        Thread caller = callerOf(() -> await(1, result), left);
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        left.set(true);
        caller.join(10_000);
        goOn.countDown();
        assertThat(await(1, result)).as("the next one does not find it stopped").isEmpty();
        verify(result, times(2)).complete(any(), any());
    }

    @Test
    void aPlanThatTheBoardWantsGoesOnWhenItsCallerLeavesAndTheBoardIsTold() throws Exception {
        planning.close();
        planning = patient(Duration.ofSeconds(60));
        JobResult result = slowPlan();
        planning.known(new Planning.Wanted(JOB, 1, 1, null, result));
        AtomicBoolean left = new AtomicBoolean();
        Thread caller = callerOf(() -> await(1, result), left);
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        left.set(true);
        caller.join(10_000);
        goOn.countDown();
        verify(events, timeout(10_000)).publishEvent(new Planning.Ready(JOB));
        verify(result).complete(any(), any());
    }

    @Test
    void aPlanAsideEndsWhenItsCallerLeaves() throws Exception {
        JobResult aside = mock(JobResult.class);
        CountDownLatch cancelled = new CountDownLatch(1);
        doAnswer(
                        call -> {
                            Progress progress = call.getArgument(0);
                            halfWay.countDown();
                            assertThat(goOn.await(10, TimeUnit.SECONDS)).isTrue();
                            try {
                                progress.at(0.5, "Placing leads");
                            } catch (CancelledException ended) {
                                cancelled.countDown();
                            }
                            return null;
                        })
                .when(aside)
                .plan(any());
        AtomicBoolean left = new AtomicBoolean();
        Thread caller = callerOf(() -> planning.aside(aside), left);
        assertThat(halfWay.await(10, TimeUnit.SECONDS)).isTrue();
        left.set(true);
        caller.join(10_000);
        goOn.countDown();
        assertThat(cancelled.await(10, TimeUnit.SECONDS)).isTrue();
    }

    /** Waits on a thread that works on a request, until its caller leaves. */
    private static Thread callerOf(Runnable waiting, AtomicBoolean left) {
        Thread thread =
                new Thread(
                        () -> {
                            Callers.leaveWhen(left::get);
                            assertThatThrownBy(waiting::run)
                                    .isInstanceOf(CallerLeftException.class);
                        });
        thread.start();
        return thread;
    }
}
