package dev.oleander.web.seal;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** HMAC-SHA256 (RFC 2104) with one key. Thread-safe. */
public final class Hmac {

    private static final String CODE = "HmacSHA256";

    private final SecretKeySpec key;

    public Hmac(byte[] secret) {
        this.key = new SecretKeySpec(secret, CODE);
    }

    /** In hexadecimal, of the UTF-8 of a text. */
    public String of(String text) {
        try {
            Mac mac = Mac.getInstance(CODE);
            mac.init(key);
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
