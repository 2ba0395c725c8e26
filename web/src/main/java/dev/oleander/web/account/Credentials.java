package dev.oleander.web.account;

import java.util.Collection;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** A person with the hash of the password, while it is compared; kept nowhere. */
record Credentials(SignedIn who, String hash) implements UserDetails {

    static Credentials of(Account account) {
        return new Credentials(SignedIn.of(account), account.passwordHash());
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return who.authorities();
    }

    @Override
    public String getPassword() {
        return hash;
    }

    @Override
    public String getUsername() {
        return who.username();
    }
}
