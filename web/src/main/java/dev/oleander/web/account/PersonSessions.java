package dev.oleander.web.account;

import dev.oleander.web.seal.Hashes;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** The sessions that people have open. */
@Component
public class PersonSessions {

    /** Attribute: from where, and with what. */
    static final String FROM = "oleander.from";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    PersonSessions(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /**
     * One of them.
     *
     * @param key stands for it on pages; its id would let others take it over
     * @param from where it was opened, and with what
     */
    public record Open(String key, String from, Instant began, Instant used, boolean present) {}

    /**
     * Those of a person, the latest used first.
     *
     * @param present id of the one that asks; null: none
     */
    public List<Open> of(String username, String present) {
        return sessions.findByPrincipalName(username).values().stream()
                .filter(s -> !s.isExpired())
                .map(
                        s ->
                                new Open(
                                        key(s.getId()),
                                        s.getAttributeOrDefault(FROM, ""),
                                        s.getCreationTime(),
                                        s.getLastAccessedTime(),
                                        s.getId().equals(present)))
                .sorted(Comparator.comparing(Open::used).reversed())
                .toList();
    }

    private static String key(String id) {
        return Hashes.sha256(id).substring(0, 16);
    }

    /** Ends one of a person's. Nothing happens when it ended meanwhile. */
    void end(String username, String key) {
        for (String id : sessions.findByPrincipalName(username).keySet()) {
            if (key(id).equals(key)) {
                sessions.deleteById(id);
            }
        }
    }

    void endAll(String username) {
        endOthers(username, null);
    }

    /**
     * @param present id of the one that stays; null: none
     */
    void endOthers(String username, String present) {
        for (String id : sessions.findByPrincipalName(username).keySet()) {
            if (!id.equals(present)) {
                sessions.deleteById(id);
            }
        }
    }
}
