package dev.oleander.web.account;

import dev.oleander.web.trail.Trail;
import java.time.Duration;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Signs in by name and password; slows down and writes down who guesses. */
@Component
class PasswordSignIn implements AuthenticationProvider {

    private static final int LONGEST_NAME = 60;

    private final DaoAuthenticationProvider compare;
    private final GuessGuard guard;
    private final Trail trail;

    PasswordSignIn(
            SignInAccounts accounts, PasswordEncoder encoder, GuessGuard guard, Trail trail) {
        this.guard = guard;
        this.trail = trail;
        this.compare =
                new DaoAuthenticationProvider(accounts::find) {
                    /** Only the person is kept, neither password nor hash. */
                    @Override
                    protected Authentication createSuccessAuthentication(
                            Object principal, Authentication asked, UserDetails found) {
                        SignedIn who = ((Credentials) found).who();
                        var made =
                                UsernamePasswordAuthenticationToken.authenticated(
                                        who, null, who.authorities());
                        made.setDetails(asked.getDetails());
                        return made;
                    }
                };
        compare.setPasswordEncoder(encoder);
    }

    @Override
    public boolean supports(Class<?> kind) {
        return compare.supports(kind);
    }

    /**
     * @throws TooManyGuessesException when there were too many wrong ones
     */
    @Override
    public Authentication authenticate(Authentication asked) {
        String name = asked.getName();
        String address = address(asked);
        Duration wait = guard.wait(name, address);
        if (!wait.isZero()) {
            throw new TooManyGuessesException(wait);
        }
        try {
            Authentication made = compare.authenticate(asked);
            guard.right(name, address);
            return made;
        } catch (BadCredentialsException wrong) {
            guard.wrong(name, address);
            String told = name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
            trail.write(
                    null,
                    Trail.Kind.SIGN_IN,
                    "Wrong password for \"%s\"".formatted(told.replaceAll("\\p{Cntrl}", " ")),
                    address);
            throw wrong;
        }
    }

    private static String address(Authentication asked) {
        return asked.getDetails() instanceof WebAuthenticationDetails from
                ? from.getRemoteAddress()
                : "";
    }
}
