package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class GuessGuardTest {

    private Instant now = Instant.parse("2026-03-01T08:00:00Z");
    private final GuessGuard guard =
            new GuessGuard(
                    new Clock() {
                        @Override
                        public Instant instant() {
                            return now;
                        }

                        @Override
                        public ZoneId getZone() {
                            return ZoneOffset.UTC;
                        }

                        @Override
                        public Clock withZone(ZoneId zone) {
                            return this;
                        }
                    });

    private void wrong(int times, String name, String address) {
        for (int i = 0; i < times; i++) {
            guard.wrong(name, address);
        }
    }

    @Test
    void fiveWrongOnesCostNothingThenEachWaitIsTwiceTheOneBefore() {
        wrong(4, "mira", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.5")).isZero();
        guard.wrong("mira", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.5")).hasSeconds(5);
        now = now.plusSeconds(5);
        assertThat(guard.wait("mira", "10.0.0.5")).isZero();
        guard.wrong("Mira ", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.5")).hasSeconds(10);
        wrong(30, "mira", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.5")).isEqualTo(Duration.ofMinutes(15));
    }

    @Test
    void othersDoNotWait() {
        wrong(10, "mira", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.6")).isZero();
        assertThat(guard.wait("tove", "10.0.0.5")).isZero();
    }

    @Test
    void manyNamesFromOneAddressAndOneNameFromManyAddressesWaitToo() {
        for (int i = 0; i < 30; i++) {
            guard.wrong("name" + i, "10.0.0.7");
        }
        assertThat(guard.wait("new", "10.0.0.7")).isPositive();
        for (int i = 0; i < 50; i++) {
            guard.wrong("anselm", "10.0.1." + i);
        }
        assertThat(guard.wait("anselm", "10.9.9.9")).isPositive();
    }

    @Test
    void theRightPasswordForgives() {
        wrong(5, "mira", "10.0.0.5");
        now = now.plusSeconds(6);
        guard.right("mira", "10.0.0.5");
        guard.wrong("mira", "10.0.0.5");
        assertThat(guard.wait("mira", "10.0.0.5")).isZero();
    }
}
