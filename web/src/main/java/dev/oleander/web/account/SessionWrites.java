package dev.oleander.web.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/**
 * When a session was last used is written from time to time only: else every look at a page waits
 * for the disk of the database.
 */
@Configuration
class SessionWrites {

    /** ms; so much less than what is allowed may somebody have been idle. */
    private static final long EVERY = 30_000;

    private static final String UPDATE =
            """
            UPDATE %%TABLE_NAME%% s
            SET SESSION_ID = n.id, LAST_ACCESS_TIME = n.used, MAX_INACTIVE_INTERVAL = n.idle,
                EXPIRY_TIME = n.expires, PRINCIPAL_NAME = n.name
            FROM (VALUES (cast(? AS char(36)), cast(? AS bigint), cast(? AS int),
                cast(? AS bigint), cast(? AS varchar), cast(? AS char(36))))
                AS n (id, used, idle, expires, name, session)
            WHERE s.PRIMARY_ID = n.session
                AND (s.LAST_ACCESS_TIME <= n.used - %d OR s.SESSION_ID <> n.id
                    OR s.MAX_INACTIVE_INTERVAL <> n.idle
                    OR s.PRINCIPAL_NAME IS DISTINCT FROM n.name)
            """
                    .formatted(EVERY);

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> seldomWrites() {
        return repository -> repository.setUpdateSessionQuery(UPDATE);
    }
}
