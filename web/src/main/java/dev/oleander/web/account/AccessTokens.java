package dev.oleander.web.account;

import dev.oleander.web.seal.Hashes;
import dev.oleander.web.trail.Trail;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes and revokes personal tokens, and finds out whose one is. */
@Service
public class AccessTokens {

    /** Shows what it is when it turns up somewhere. */
    private static final String PREFIX = "oleander_";

    private static final int SECRET_BYTES = 32;
    private static final int LONGEST_NAME = 60;
    private static final int MOST = 50;
    private static final int MOST_DAYS = 730;
    private static final Duration USED_EVERY = Duration.ofMinutes(1);

    private final AccessTokenRepository tokens;
    private final AccountRepository accounts;
    private final SignInAccounts rules;
    private final Trail trail;
    private final Clock clock;

    AccessTokens(
            AccessTokenRepository tokens,
            AccountRepository accounts,
            SignInAccounts rules,
            Trail trail,
            Clock clock) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.rules = rules;
        this.trail = trail;
        this.clock = clock;
    }

    /**
     * One just made.
     *
     * @param secret shown this once
     */
    public record Made(AccessToken token, String secret) {}

    /** Those of a person that were not revoked, the latest first. */
    @Transactional(readOnly = true)
    public List<AccessToken> of(SignedIn who) {
        return tokens.ofAccount(who.id());
    }

    /**
     * @param days how long it holds
     * @throws AccountException when a value cannot be
     */
    @Transactional
    public Made make(String name, String scope, int days, SignedIn who) {
        String called = name == null ? "" : name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw new AccountException(
                    "name",
                    "A token has a name of 1 to %d characters, which says what it is for."
                            .formatted(LONGEST_NAME));
        }
        TokenScope wanted =
                TokenScope.of(String.valueOf(scope))
                        .orElseThrow(
                                () ->
                                        new AccountException(
                                                "scope",
                                                "There is no scope \"%s\"; there are %s."
                                                        .formatted(scope, TokenScope.words())));
        if (days < 1 || days > MOST_DAYS) {
            throw new AccountException(
                    "days", "A token holds for 1 to %d days, not %d.".formatted(MOST_DAYS, days));
        }
        if (tokens.ofAccount(who.id()).size() >= MOST) {
            throw new AccountException(
                    "name", "You have %d tokens; revoke one first.".formatted(MOST));
        }
        byte[] secret = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(secret);
        String text = PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        AccessToken made =
                tokens.save(
                        new AccessToken(
                                accounts.findById(who.id()).orElseThrow(),
                                called,
                                wanted,
                                Hashes.sha256(text),
                                now,
                                now.plus(Duration.ofDays(days))));
        trail.write(
                who.id(),
                Trail.Kind.TOKEN,
                "Token \"%s\" made, %s, for %d days".formatted(called, wanted.word(), days),
                null);
        return new Made(made, text);
    }

    /**
     * @throws AccountException when the person has no such token
     */
    @Transactional
    public void revoke(long id, SignedIn who) {
        AccessToken token =
                tokens.findById(id)
                        .filter(t -> t.account().id() == who.id())
                        .orElseThrow(
                                () -> AccountException.missing("You have no token " + id + "."));
        token.revoke(clock.instant());
        trail.write(
                who.id(), Trail.Kind.TOKEN, "Token \"%s\" revoked".formatted(token.name()), null);
    }

    /** Whose a secret is, with what it may; empty when it does not sign in. */
    Optional<SignedIn> owner(String secret) {
        Instant now = clock.instant();
        return tokens.findByHash(Hashes.sha256(secret))
                .filter(t -> t.holds(now) && rules.maySignIn(t.account()))
                .map(
                        token -> {
                            noteUse(token, now);
                            SignedIn who = SignedIn.of(token.account());
                            return token.scope() == TokenScope.READ ? who.as(Role.OPERATOR) : who;
                        });
    }

    /** Not with every call: that would write a row for each. */
    private void noteUse(AccessToken token, Instant now) {
        if (token.usedAt() == null || token.usedAt().plus(USED_EVERY).isBefore(now)) {
            tokens.used(token.id(), now);
        }
    }
}
