package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Service;

/** Finds accounts for Spring Security. */
@Service
class AccountDetailsService implements UserDetailsService {

    private final AccountRepository accounts;

    private final OleanderSettings settings;

    AccountDetailsService(AccountRepository accounts, OleanderSettings settings) {
        this.accounts = accounts;
        this.settings = settings;
    }

    @Override
    public SignedIn loadUserByUsername(String username) {
        return accounts.findByUsername(username)
                .filter(a -> settings.demo() || !a.isDemo())
                .map(SignedIn::of)
                .orElseThrow(() -> new UsernameNotFoundException(username));
    }
}
