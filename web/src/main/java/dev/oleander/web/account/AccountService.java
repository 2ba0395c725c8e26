package dev.oleander.web.account;

import dev.oleander.web.trail.Trail;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes, changes and closes accounts. What takes rights away ends the sessions of that person. */
@Service
public class AccountService {

    private static final Pattern USERNAME = Pattern.compile("[a-z][a-z0-9._-]{1,39}");
    private static final int LONGEST_NAME = 80;

    private final AccountRepository accounts;
    private final PasswordEncoder encoder;
    private final PersonSessions sessions;
    private final GuessGuard guard;
    private final TransactionTemplate transaction;
    private final Trail trail;
    private final Clock clock;

    AccountService(
            AccountRepository accounts,
            PasswordEncoder encoder,
            PersonSessions sessions,
            GuessGuard guard,
            TransactionTemplate transaction,
            Trail trail,
            Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.sessions = sessions;
        this.guard = guard;
        this.transaction = transaction;
        this.trail = trail;
        this.clock = clock;
    }

    /** By name, the closed ones last. */
    @Transactional(readOnly = true)
    public List<Account> all() {
        return accounts.inOrder();
    }

    /**
     * @throws AccountException when there is none
     */
    @Transactional(readOnly = true)
    public Account find(long id) {
        return accounts.findById(id)
                .orElseThrow(() -> AccountException.missing("There is no account " + id + "."));
    }

    /**
     * Makes an account with a random password, which is returned this once and has to be changed.
     *
     * @throws AccountException when a value cannot be
     */
    public String make(String username, String fullName, Role role, SignedIn by) {
        String wanted = username.strip();
        if (!USERNAME.matcher(wanted).matches()) {
            throw new AccountException(
                    "username",
                    "A name to sign in with has 2 to 40 small letters, digits, dots, dashes or"
                            + " underscores and begins with a letter; \"%s\" does not."
                                    .formatted(wanted));
        }
        if (accounts.findByUsername(wanted).isPresent()) {
            throw new AccountException("username", "\"%s\" is taken.".formatted(wanted));
        }
        String name = name(fullName);
        String password = PasswordRules.random();
        String hash = encoder.encode(password);
        transaction.executeWithoutResult(
                status -> {
                    Account made = new Account(wanted, name, hash, role, false, clock.instant());
                    made.password(hash, true);
                    accounts.save(made);
                    tell(by, "Account of %s made, %s".formatted(label(made), role.word()));
                });
        return password;
    }

    private static String name(String fullName) {
        String name = fullName.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(c -> c < ' ')) {
            throw new AccountException(
                    "fullName", "A person's name has 1 to %d characters.".formatted(LONGEST_NAME));
        }
        return name;
    }

    /**
     * @throws AccountException when a value cannot be, or nobody would lead any more
     */
    @Transactional
    public void change(long id, String fullName, Role role, SignedIn by) {
        Account account = held(id);
        String before = "%s, %s".formatted(account.fullName(), account.role().word());
        if (role != Role.LEAD) {
            requireOtherLead(account);
        }
        boolean sameRights = account.role() == role;
        account.become(name(fullName), role);
        String now = "%s, %s".formatted(account.fullName(), account.role().word());
        if (!now.equals(before)) {
            tell(by, "Account %s: %s, before %s".formatted(account.username(), now, before));
        }
        if (!sameRights) {
            sessions.endAll(account.username());
        }
    }

    /** Gives a new random password, which is returned this once and has to be changed. */
    public String reset(long id, SignedIn by) {
        String password = PasswordRules.random();
        String hash = encoder.encode(password);
        String username =
                transaction.execute(
                        status -> {
                            Account account = held(id);
                            account.password(hash, true);
                            tell(by, "Password of %s given anew".formatted(label(account)));
                            return account.username();
                        });
        sessions.endAll(username);
        return password;
    }

    /**
     * Nobody signs in with it any more; what the person did stays.
     *
     * @throws AccountException when nobody would lead any more, or it is one's own
     */
    @Transactional
    public void close(long id, SignedIn by) {
        Account account = held(id);
        if (account.id() == by.id()) {
            throw new AccountException("", "Your own account is closed by another lead.");
        }
        requireOtherLead(account);
        account.close(clock.instant());
        tell(by, "Account of %s closed".formatted(label(account)));
        sessions.endAll(account.username());
    }

    @Transactional
    public void reopen(long id, SignedIn by) {
        Account account = held(id);
        account.reopen();
        tell(by, "Account of %s opened again".formatted(label(account)));
    }

    /**
     * Changes one's own password. All other sessions of the person end.
     *
     * @param session that stays
     * @return the person, who need not change it any more
     * @throws AccountException when the present one is wrong, or the new one cannot be
     */
    public SignedIn changeOwn(SignedIn who, String present, String wanted, String session) {
        Account account = held(who.id());
        requirePresent(account, present, session);
        if (Objects.equals(present, wanted)) {
            throw new AccountException("password", "The new password is the present one.");
        }
        PasswordRules.require(wanted, account.username());
        String hash = encoder.encode(wanted);
        SignedIn now =
                transaction.execute(
                        status -> {
                            Account kept = held(who.id());
                            kept.password(hash, false);
                            tell(who, "Own password changed");
                            return SignedIn.of(kept);
                        });
        sessions.endOthers(now.username(), session);
        return now;
    }

    /** Slowed like signing in: whoever took over a session must not guess the password with it. */
    private void requirePresent(Account account, String present, String session) {
        Duration wait = guard.wait(account.username(), session);
        if (!wait.isZero()) {
            throw new AccountException("present", new TooManyGuessesException(wait).getMessage());
        }
        if (!encoder.matches(present, account.passwordHash())) {
            guard.wrong(account.username(), session);
            throw new AccountException("present", "The present password is not right.");
        }
    }

    private Account held(long id) {
        Account account = find(id);
        if (account.isDemo()) {
            throw new AccountException(
                    "", "The accounts of the demo stay as they are; make one of your own.");
        }
        return account;
    }

    private void requireOtherLead(Account account) {
        boolean lastOne =
                account.role() == Role.LEAD
                        && !account.isClosed()
                        && accounts.findAll().stream()
                                .noneMatch(
                                        a ->
                                                a.role() == Role.LEAD
                                                        && !a.isClosed()
                                                        && !a.isDemo()
                                                        && !a.id().equals(account.id()));
        if (lastOne) {
            throw new AccountException(
                    "role",
                    "%s is the only lead; make another one first.".formatted(account.fullName()));
        }
    }

    private void tell(SignedIn by, String what) {
        trail.write(by.id(), Trail.Kind.ACCOUNT, what, null);
    }

    private static String label(Account account) {
        return "%s (%s)".formatted(account.fullName(), account.username());
    }
}
