package dev.oleander.web.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Remembers for a while which passwords were right, since programs send theirs with every call and
 * hashing takes a tenth of a second. What is remembered is a code made with a key of this process,
 * of the password together with the stored hash: when the hash changes nothing is remembered.
 */
final class RememberingEncoder implements PasswordEncoder {

    private static final String CODE = "HmacSHA256";
    private static final int MOST = 1_000;

    private final PasswordEncoder slow;
    private final SecretKeySpec key;
    private final Cache<String, Boolean> right;

    /**
     * @param remembers how long
     */
    RememberingEncoder(PasswordEncoder slow, Duration remembers) {
        this.slow = slow;
        byte[] secret = new byte[32];
        new SecureRandom().nextBytes(secret);
        this.key = new SecretKeySpec(secret, CODE);
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
        try {
            Mac mac = Mac.getInstance(CODE);
            mac.init(key);
            mac.update(hash.getBytes(StandardCharsets.UTF_8));
            mac.update((byte) 0);
            return HexFormat.of()
                    .formatHex(mac.doFinal(password.toString().getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
