package dev.oleander.web.account;

import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The signed-in person as the session keeps it: values only, no database object. */
public record SignedIn(
        long id, String username, String fullName, String initials, Role role, String passwordHash)
        implements UserDetails {

    public static SignedIn of(Account account) {
        return new SignedIn(
                account.id(),
                account.username(),
                account.fullName(),
                account.initials(),
                account.role(),
                account.passwordHash());
    }

    public boolean edits() {
        return role.edits();
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return username;
    }
}
