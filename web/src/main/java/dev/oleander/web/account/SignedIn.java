package dev.oleander.web.account;

import java.util.List;
import org.springframework.security.core.AuthenticatedPrincipal;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/**
 * The signed-in person as the session keeps it: values only, no database object and no password.
 *
 * @param mustChange whether a password has to be chosen before anything else
 */
public record SignedIn(
        long id, String username, String fullName, String initials, Role role, boolean mustChange)
        implements AuthenticatedPrincipal, java.io.Serializable {

    public static SignedIn of(Account account) {
        return new SignedIn(
                account.id(),
                account.username(),
                account.fullName(),
                account.initials(),
                account.role(),
                account.mustChange());
    }

    /** Whether this person may change jobs and release programs. */
    public boolean edits() {
        return role.edits();
    }

    /** Whether this person keeps machines, data, formats and accounts. */
    public boolean leads() {
        return role == Role.LEAD;
    }

    /** The same person with what a role may, as a token of a narrower scope has it. */
    SignedIn as(Role other) {
        return new SignedIn(id, username, fullName, initials, other, mustChange);
    }

    List<GrantedAuthority> authorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getName() {
        return username;
    }
}
