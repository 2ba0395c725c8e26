package dev.oleander.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class BesideTest {

    @Test
    void whatComesOfItIsGivenToWhoAsks() {
        try (Beside<Integer> sum = Beside.begin(progress -> 2 + 3)) {
            assertThat(sum.get()).isEqualTo(5);
        }
    }

    @Test
    void whatItThrowsIsThrownToWhoAsks() {
        try (Beside<Integer> fails =
                Beside.begin(
                        progress -> {
                            throw new IllegalStateException("no room");
                        })) {
            assertThatThrownBy(fails::get)
                    .isInstanceOf(IllegalStateException.class)
                    .hasMessageContaining("no room");
        }
    }

    @Test
    void itStopsWhenNobodyAsksAnyMore() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(1);
        try (Beside<Integer> endless =
                Beside.begin(
                        progress -> {
                            begun.countDown();
                            try {
                                while (true) {
                                    progress.at(0.5, "Going on");
                                    Thread.onSpinWait();
                                }
                            } catch (CancelledException e) {
                                stopped.countDown();
                                throw e;
                            }
                        })) {
            assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(stopped.await(10, TimeUnit.SECONDS)).isTrue();
    }
}
