package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

class RememberingEncoderTest {

    private final PasswordEncoder slow = mock(PasswordEncoder.class);
    private final PasswordEncoder encoder = new RememberingEncoder(slow, Duration.ofMinutes(1));

    @BeforeEach
    void oneIsRight() {
        when(slow.matches("right", "hash")).thenReturn(true);
    }

    @Test
    void whatWasRightIsHashedOnce() {
        for (int i = 0; i < 5; i++) {
            assertThat(encoder.matches("right", "hash")).isTrue();
        }
        verify(slow, times(1)).matches("right", "hash");
    }

    @Test
    void whatWasWrongIsHashedEveryTime() {
        assertThat(encoder.matches("wrong", "hash")).isFalse();
        assertThat(encoder.matches("wrong", "hash")).isFalse();
        verify(slow, times(2)).matches("wrong", "hash");
    }

    @Test
    void anOldPasswordIsForgottenWithItsHash() {
        assertThat(encoder.matches("right", "hash")).isTrue();
        assertThat(encoder.matches("right", "another hash")).isFalse();
    }

    @Test
    void afterAWhileItIsHashedAgain() throws InterruptedException {
        PasswordEncoder brief = new RememberingEncoder(slow, Duration.ofMillis(5));
        assertThat(brief.matches("right", "hash")).isTrue();
        Thread.sleep(30);
        assertThat(brief.matches("right", "hash")).isTrue();
        verify(slow, times(2)).matches("right", "hash");
    }
}
