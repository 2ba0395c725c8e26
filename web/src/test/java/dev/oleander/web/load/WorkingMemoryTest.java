package dev.oleander.web.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

class WorkingMemoryTest {

    private static final int MB = 1 << 20;

    private final WorkingMemory memory =
            new WorkingMemory(10 * MB, 600L * MB, Duration.ofMillis(100));

    @Test
    void whatFitsIsReadAtOnceAndTheRestIsToldToComeAgain() throws Exception {
        ExecutorService threads = Executors.newCachedThreadPool();
        CountDownLatch inside = new CountDownLatch(2);
        CountDownLatch end = new CountDownLatch(1);
        try {
            Future<String> one =
                    threads.submit(() -> memory.within(4 * MB, () -> held(inside, end)));
            Future<String> two =
                    threads.submit(() -> memory.within(5 * MB, () -> held(inside, end)));
            inside.await();
            assertThatThrownBy(() -> memory.within(2 * MB, () -> "never"))
                    .isInstanceOf(TooBusyException.class)
                    .hasMessageContaining("Try again in a few seconds");
            assertThat(memory.within(MB / 2, () -> "small")).isEqualTo("small");
            end.countDown();
            assertThat(one.get()).isEqualTo(two.get());
        } finally {
            end.countDown();
            threads.shutdownNow();
        }
        assertThat(memory.within(10 * MB, () -> "all")).isEqualTo("all");
    }

    @Test
    void whatIsLargerThanAllThereIsIsReadAlone() {
        assertThat(memory.within(500L * MB, () -> "large")).isEqualTo("large");
        assertThatThrownBy(
                        () -> memory.within(500L * MB, () -> memory.within(MB, () -> "beside it")))
                .isInstanceOf(TooBusyException.class);
    }

    @Test
    void theLargestFileFollowsFromTheHeap() {
        assertThat(memory.most()).isEqualTo(600L * MB);
        assertThat(new WorkingMemory().most())
                .isEqualTo(Runtime.getRuntime().maxMemory() / 25)
                .isLessThan(Runtime.getRuntime().maxMemory());
    }

    @Test
    void aFailureGivesItsRoomBack() {
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(
                            () ->
                                    memory.within(
                                            9 * MB,
                                            () -> {
                                                throw new IllegalStateException("broken file");
                                            }))
                    .hasMessage("broken file");
        }
        assertThat(memory.within(9 * MB, () -> "again")).isEqualTo("again");
    }

    private static String held(CountDownLatch inside, CountDownLatch end) {
        inside.countDown();
        try {
            end.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return "done";
    }
}
