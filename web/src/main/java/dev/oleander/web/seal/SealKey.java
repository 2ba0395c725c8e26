package dev.oleander.web.seal;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** A secret that codes are made with. */
final class SealKey {

    private static final String CODE = "HmacSHA256";
    private static final int NAME_LENGTH = 12;

    private final String name;
    private final SecretKeySpec secret;

    SealKey(byte[] secret) {
        this.secret = new SecretKeySpec(secret, CODE);
        this.name =
                new Canonical("name of a key")
                        .with("key", secret)
                        .sha256()
                        .substring(0, NAME_LENGTH);
    }

    /** The first digits of a hash of the secret. */
    String name() {
        return name;
    }

    /** HMAC-SHA256 (RFC 2104), in hexadecimal. */
    String code(String text) {
        try {
            Mac mac = Mac.getInstance(CODE);
            mac.init(secret);
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
