package dev.oleander.web.api;

import dev.oleander.web.OleanderSettings;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/**
 * How long a call waits for a plan before it is told where to ask for it (RFC 7240): not at all
 * with {@code Prefer: respond-async}, some seconds with {@code Prefer: wait=60}, else a little.
 */
@Hidden
public record Patience(Duration longest) {

    private static final Duration USUAL = Duration.ofSeconds(2);
    private static final int MOST_SECONDS = 300;
    private static final Pattern WAIT = Pattern.compile("(?:^|[,;\\s])wait\\s*=\\s*(\\d{1,6})");

    static Patience of(String prefer, Duration usual) {
        if (prefer != null) {
            Matcher wait = WAIT.matcher(prefer);
            if (wait.find()) {
                int seconds = Math.min(MOST_SECONDS, Integer.parseInt(wait.group(1)));
                return new Patience(Duration.ofSeconds(seconds));
            }
            if (prefer.contains("respond-async")) {
                return new Patience(Duration.ZERO);
            }
        }
        return new Patience(usual.compareTo(USUAL) > 0 ? usual : USUAL);
    }

    /** Reads it from {@code Prefer}. */
    @Component
    static final class Resolver implements HandlerMethodArgumentResolver {

        private final Duration usual;

        Resolver(OleanderSettings settings) {
            this.usual = settings.patience();
        }

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Patience.class;
        }

        @Override
        public Patience resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binders) {
            return Patience.of(
                    request.getNativeRequest(HttpServletRequest.class).getHeader("Prefer"), usual);
        }
    }
}
