package dev.oleander.web.seal;

/** A secret that codes are made with. */
final class SealKey {

    private static final int NAME_LENGTH = 12;

    private final String name;
    private final Hmac hmac;

    SealKey(byte[] secret) {
        this.hmac = new Hmac(secret);
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

    String code(String text) {
        return hmac.of(text);
    }
}
