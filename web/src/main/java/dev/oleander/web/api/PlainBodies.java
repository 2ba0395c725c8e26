package dev.oleander.web.api;

import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.page.PlainText;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Refuses control characters in JSON, as pages refuse them in forms. */
@RestControllerAdvice(basePackageClasses = PlainBodies.class, annotations = ApiOfWork.class)
class PlainBodies extends RequestBodyAdviceAdapter {

    /** An escaped character; of two reverse solidi the second escapes nothing. */
    private static final Pattern ESCAPED =
            Pattern.compile("\\\\(?:u([0-9a-fA-F]{4})|(.))", Pattern.DOTALL);

    @Override
    public boolean supports(
            MethodParameter parameter,
            Type target,
            Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public HttpInputMessage beforeBodyRead(
            HttpInputMessage message,
            MethodParameter parameter,
            Type target,
            Class<? extends HttpMessageConverter<?>> converter)
            throws IOException {
        MediaType type = message.getHeaders().getContentType();
        if (type == null || !type.isCompatibleWith(MediaType.APPLICATION_JSON)) {
            return message;
        }
        byte[] body = message.getBody().readAllBytes();
        requirePlain(new String(body, StandardCharsets.UTF_8));
        return new HttpInputMessage() {
            @Override
            public InputStream getBody() {
                return new ByteArrayInputStream(body);
            }

            @Override
            public HttpHeaders getHeaders() {
                return message.getHeaders();
            }
        };
    }

    private static void requirePlain(String json) {
        boolean wrong =
                PlainText.isWrong(json)
                        || ESCAPED.matcher(json).results().anyMatch(PlainBodies::isWrong);
        if (wrong) {
            throw new RefusedEditException(
                    "The body has a control character in a text; only line breaks and tabs may be in one.");
        }
    }

    private static boolean isWrong(MatchResult escaped) {
        if (escaped.group(1) != null) {
            return PlainText.isWrong(
                    Character.toString((char) Integer.parseInt(escaped.group(1), 16)));
        }
        return escaped.group(2).equals("b") || escaped.group(2).equals("f");
    }
}
