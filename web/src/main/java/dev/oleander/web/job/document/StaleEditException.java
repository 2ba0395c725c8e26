package dev.oleander.web.job.document;

import java.util.List;

/** Somebody else changed the job since the page was made; the message says who and what. */
public final class StaleEditException extends RuntimeException {

    /** For two edits that met in the database. */
    public static final String AT_THE_SAME_MOMENT =
            "Somebody else changed this job at the same moment. Your change was not applied; "
                    + "the page now shows the latest: set it again if it is still right.";

    /** A change that came in between. */
    public record Change(String who, String label) {}

    public StaleEditException(List<Change> changes) {
        this("job", changes);
    }

    /**
     * @param what was changed: job, product
     */
    public StaleEditException(String what, List<Change> changes) {
        super(sentence(what, changes));
    }

    private static String sentence(String what, List<Change> changes) {
        if (changes.isEmpty()) {
            return AT_THE_SAME_MOMENT;
        }
        Change last = changes.get(changes.size() - 1);
        String more =
                changes.size() == 1 ? "" : " and %d more changes".formatted(changes.size() - 1);
        return "%s changed this %s meanwhile: %s%s. Your change was not applied; the page now shows the latest: set it again if it is still right."
                .formatted(last.who(), what, last.label(), more);
    }
}
