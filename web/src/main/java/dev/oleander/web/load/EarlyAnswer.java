package dev.oleander.web.load;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.json.JsonMapper;

/** Answers of filters, where no page can be made: problem details for calls, else plain HTML. */
public final class EarlyAnswer {

    private EarlyAnswer() {}

    public static void write(
            HttpServletRequest request, HttpServletResponse response, int status, String sentence)
            throws IOException {
        boolean call = request.getRequestURI().startsWith("/api/");
        response.setStatus(status);
        response.setContentType(
                call ? MediaType.APPLICATION_PROBLEM_JSON_VALUE : "text/html;charset=UTF-8");
        String body = call ? problem(status, sentence) : page(sentence);
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }

    private static String problem(int status, String sentence) {
        Map<String, Object> problem = new LinkedHashMap<>();
        problem.put("status", status);
        problem.put("detail", sentence);
        return JsonMapper.shared().writeValueAsString(problem);
    }

    private static String page(String sentence) {
        return "<!DOCTYPE html><html lang=\"en\"><head><title>Oleander</title></head><body><p role=\"alert\">%s</p></body></html>"
                .formatted(HtmlUtils.htmlEscape(sentence));
    }
}
