package dev.oleander.web.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.context.request.RequestContextHolder;

class WaitersTest {

    private final Waiters waiters = new Waiters();

    @AfterEach
    void noRequest() {
        RequestContextHolder.resetRequestAttributes();
    }

    @Test
    void nobodyWantsWhatAllHaveLeft() {
        waiters.join();
        waiters.join();
        waiters.leave();
        assertThat(waiters.isForsaken()).isFalse();
        waiters.leave();
        assertThat(waiters.isForsaken()).isTrue();
    }

    @Test
    void whoComesAgainWantsItWithoutWaiting() {
        waiters.join();
        waiters.comeAgain();
        waiters.leave();
        assertThat(waiters.isForsaken()).isFalse();
    }

    @Test
    void aThreadWithoutARequestWaitsToTheEnd() throws Exception {
        long began = System.nanoTime();
        long moment = began + Duration.ofMillis(250).toNanos();
        assertThat(Waiters.until(moment, new CountDownLatch(1))).isFalse();
        assertThat(System.nanoTime()).isGreaterThanOrEqualTo(moment);
        assertThat(Waiters.until(began, new CountDownLatch(0))).as("open, though late").isTrue();
    }

    @Test
    void whoHasLeftIsNotWaitedFor() {
        Callers.leaveWhen(() -> true);
        long moment = System.nanoTime() + Duration.ofMinutes(5).toNanos();
        assertThatThrownBy(() -> Waiters.until(moment, new CountDownLatch(1)))
                .isInstanceOf(CallerLeftException.class);
    }
}
