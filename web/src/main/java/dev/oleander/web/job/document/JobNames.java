package dev.oleander.web.job.document;

import java.util.Locale;

/** Names of jobs from names of files. */
public final class JobNames {

    private JobNames() {}

    /** cleat_backing_plate.dxf becomes Cleat backing plate. */
    public static String ofFile(String fileName) {
        String base = fileName.replaceAll(".*[/\\\\]", "").replaceAll("\\.[A-Za-z0-9]+$", "");
        String words = base.replaceAll("[_\\s]+", " ").strip();
        if (words.isEmpty()) {
            return "Drawing";
        }
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** Names stand in programs, in files' names and on paper: line breaks have no place there. */
    public static void requirePlain(String what, String name) {
        if (name.chars().anyMatch(Character::isISOControl)) {
            throw new RefusedEditException(
                    "The %s has a line break or another control character in it; it must be one line of text."
                            .formatted(what));
        }
    }
}
