package dev.oleander.web.job.source;

import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.RefusedEditException;

/** A drawing file somebody brought. */
public record Upload(String name, byte[] content) {

    private static final int LONGEST = 200;

    /**
     * @throws RefusedEditException when the name cannot be kept
     */
    public Upload {
        JobNames.requirePlain("name of a file", name);
        if (name.length() > LONGEST) {
            throw new RefusedEditException(
                    "The name of a file has %d characters; at most %d are possible."
                            .formatted(name.length(), LONGEST));
        }
    }
}
