package dev.oleander.web.seal;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.HexFormat;

/**
 * Values in one form only: before each name and value stands its length in bytes, so that nothing
 * can be moved from one value to another. An absent value differs from an empty one.
 */
public final class Canonical {

    /** Stands in place of a length. */
    private static final int ABSENT = -1;

    private final MessageDigest digest = Hashes.digest();

    /**
     * @param what kind and version of the form
     */
    public Canonical(String what) {
        write(what.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * @param value null: absent
     */
    public Canonical with(String name, Object value) {
        return with(
                name,
                value == null ? null : String.valueOf(value).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * @param value null: absent
     */
    public Canonical with(String name, byte[] value) {
        write(name.getBytes(StandardCharsets.UTF_8));
        write(value);
        return this;
    }

    private void write(byte[] bytes) {
        int length = bytes == null ? ABSENT : bytes.length;
        digest.update(ByteBuffer.allocate(Integer.BYTES).putInt(length).array());
        if (bytes != null) {
            digest.update(bytes);
        }
    }

    /** SHA-256 of all, in hexadecimal. Ends the form. */
    public String sha256() {
        return HexFormat.of().formatHex(digest.digest());
    }
}
