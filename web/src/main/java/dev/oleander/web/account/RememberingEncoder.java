package dev.oleander.web.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.web.seal.Hmac;
import java.security.SecureRandom;
import java.time.Duration;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Remembers for a while which passwords were right, since programs send theirs with every call and
 * hashing takes a tenth of a second. What is remembered is a code made with a key of this process,
 * of the password together with the stored hash: when the hash changes nothing is remembered.
 */
final class RememberingEncoder implements PasswordEncoder {

    private static final int MOST = 1_000;

    private final PasswordEncoder slow;
    private final Hmac hmac;
    private final Cache<String, Boolean> right;

    /**
     * @param remembers how long
     */
    RememberingEncoder(PasswordEncoder slow, Duration remembers) {
        this.slow = slow;
        byte[] secret = new byte[32];
        new SecureRandom().nextBytes(secret);
        this.hmac = new Hmac(secret);
        this.right = Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(remembers).build();
    }

    @Override
    public String encode(CharSequence password) {
        return slow.encode(password);
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        String code = code(password, hash);
        if (right.getIfPresent(code) != null) {
            return true;
        }
        boolean matches = slow.matches(password, hash);
        if (matches) {
            right.put(code, true);
        }
        return matches;
    }

    @Override
    public boolean upgradeEncoding(String hash) {
        return slow.upgradeEncoding(hash);
    }

    private String code(CharSequence password, String hash) {
        return hmac.of(hash + '\0' + password);
    }
}
