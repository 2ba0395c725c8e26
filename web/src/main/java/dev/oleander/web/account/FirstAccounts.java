package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import java.time.Clock;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Accounts of an empty database: three for the demo, or one lead with a given password. */
@Component
public class FirstAccounts {

    /** One demo account as the sign-in page shows it. */
    public record DemoAccount(String username, String password, String fullName, Role role) {}

    public static final List<DemoAccount> DEMO =
            List.of(
                    new DemoAccount("mira", "slipway-mira", "Mira Rosvold", Role.PROGRAMMER),
                    new DemoAccount("tove", "slipway-tove", "Tove Anders", Role.OPERATOR),
                    new DemoAccount("anselm", "slipway-anselm", "Anselm Byre", Role.LEAD));

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final OleanderSettings settings;
    private final PersonSessions sessions;
    private final Clock clock;

    FirstAccounts(
            AccountRepository accounts,
            PasswordEncoder encoder,
            OleanderSettings settings,
            PersonSessions sessions,
            Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.settings = settings;
        this.sessions = sessions;
        this.clock = clock;
    }

    /** Makes those that are missing; outside of the demo, ends what its accounts have open. */
    @Transactional
    public void makeIfNone() {
        if (settings.demo()) {
            if (!accounts.existsByDemo(true)) {
                DEMO.forEach(d -> make(d.username(), d.password(), d.fullName(), d.role()));
            }
            return;
        }
        accounts.findByDemo(true).forEach(a -> sessions.endAll(a.username()));
        if (!accounts.existsByDemo(false) && !settings.firstPassword().isBlank()) {
            make("lead", settings.firstPassword(), "Shop Lead", Role.LEAD)
                    .password(encoder.encode(settings.firstPassword()), true);
        }
    }

    private Account make(String username, String password, String fullName, Role role) {
        return accounts.save(
                new Account(
                        username,
                        fullName,
                        encoder.encode(password),
                        role,
                        settings.demo(),
                        clock.instant()));
    }
}
