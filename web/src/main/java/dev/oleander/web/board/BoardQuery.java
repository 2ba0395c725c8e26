package dev.oleander.web.board;

import dev.oleander.web.job.store.Stage;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.web.util.UriUtils;

/**
 * What of the board is shown; it stands in the address.
 *
 * @param page from 1
 */
public record BoardQuery(String text, String machine, String stage, Integer page) {

    static final BoardQuery EVERYTHING = new BoardQuery("", "", "", 1);

    public BoardQuery {
        text = text == null ? "" : text.strip();
        machine = machine == null ? "" : machine;
        stage = stage == null ? "" : stage;
        page = page == null || page < 1 ? 1 : page;
    }

    public boolean isEverything() {
        return text.isEmpty() && machine.isEmpty() && stage.isEmpty();
    }

    /** For LIKE with escape character !. */
    public String pattern() {
        return text.toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
    }

    /** Null: all stages. */
    public Stage stageOrNull() {
        return Stage.ofWord(stage).orElse(null);
    }

    /** Address of another page of the same search. */
    public String addressOf(int other) {
        return "/?text=%s&machine=%s&stage=%s&page=%d"
                .formatted(encoded(text), encoded(machine), encoded(stage), other);
    }

    private static String encoded(String value) {
        return UriUtils.encode(value, StandardCharsets.UTF_8);
    }
}
