package dev.oleander.web.job.document;

import dev.oleander.plan.RunChoices;
import dev.oleander.quantity.Worded;
import dev.oleander.work.Work;
import java.util.List;

/** The rules by which stops are put in order, as people and programs name them. */
public final class Orders {

    private Orders() {}

    /**
     * The document with its stops in order by a rule; by hand stays as it was.
     *
     * @param word empty: as is usual
     * @throws RefusedEditException when the kind of work has no such rule
     */
    public static JobDocument by(JobDocument document, Work<?, ?> kind, String word) {
        List<String> known = kind.orders().stream().map(Worded::word).toList();
        String wanted = word.strip();
        if (!wanted.isEmpty() && !wanted.equals(RunChoices.BY_HAND) && !known.contains(wanted)) {
            throw new RefusedEditException(
                    "\"%s\" is no rule of order; possible are %s."
                            .formatted(word, String.join(", ", known)));
        }
        return document.rerun(kind, run -> run.by(wanted));
    }
}
