package dev.oleander.web.account;

import java.time.Duration;
import org.springframework.security.core.AuthenticationException;

/** Too many wrong passwords: the next one is not looked at for a while. */
final class TooManyGuessesException extends AuthenticationException {

    private static final long serialVersionUID = 1L;

    private final long seconds;

    TooManyGuessesException(Duration wait) {
        super(
                "Too many wrong passwords. Try again in %d s."
                        .formatted(Math.max(1, wait.toSeconds())));
        this.seconds = Math.max(1, wait.toSeconds());
    }

    long seconds() {
        return seconds;
    }
}
