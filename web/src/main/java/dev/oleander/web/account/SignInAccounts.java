package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;

/** The accounts that may sign in now. */
@Component
class SignInAccounts {

    private final AccountRepository accounts;

    private final OleanderSettings settings;

    SignInAccounts(AccountRepository accounts, OleanderSettings settings) {
        this.accounts = accounts;
        this.settings = settings;
    }

    /**
     * @throws UsernameNotFoundException when nobody signs in by that name
     */
    Credentials find(String username) {
        return accounts.findByUsername(username)
                .filter(this::maySignIn)
                .map(Credentials::of)
                .orElseThrow(() -> new UsernameNotFoundException(username));
    }

    /** Closed accounts may not, and those of the demo only in demo mode. */
    boolean maySignIn(Account account) {
        return !account.isClosed() && (settings.demo() || !account.isDemo());
    }
}
