package dev.oleander.dialect;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Descriptions of dialects as texts, to be changed before they are used. */
final class Descriptions {

    private Descriptions() {}

    static String shipped(String name) {
        try (InputStream in = Dialect.class.getResourceAsStream(name + ".yaml")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The format of Teasel with something else in it. */
    static Dialect teasel(String... fromTo) {
        String yaml = shipped("teasel");
        for (int i = 0; i < fromTo.length; i += 2) {
            if (!yaml.contains(fromTo[i])) {
                throw new IllegalArgumentException(fromTo[i]);
            }
            yaml = yaml.replace(fromTo[i], fromTo[i + 1]);
        }
        return DialectLibrary.parse("teasel", yaml);
    }
}
