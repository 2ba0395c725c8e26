package dev.oleander.dialect;

/** Descriptions of dialects as texts, to be changed before they are used. */
final class Descriptions {

    private Descriptions() {}

    static String shipped(String name) {
        return DialectLibrary.description(name);
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
