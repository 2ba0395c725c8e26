package dev.oleander.web.bench;

import dev.oleander.drawing.read.Counterparts;
import dev.oleander.plan.Choice;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import java.util.List;

/** Copying what is set for a stop to the same contour of equal parts. */
public final class EqualContours {

    private EqualContours() {}

    /** Rows for the only selected stop, when something is set for it and there are equal parts. */
    public static <S extends Choice<S>> List<SlipRow> rows(
            JobResult result, List<Stop> stops, Fields<S> fields, EditError error) {
        SlipRow refused =
                new SlipRow.Refused(error.field().equals("copies") ? error.sentence() : "");
        if (stops.size() != 1 || fields.subjects().get(0).here().isNothing()) {
            return List.of(refused);
        }
        long equal = Counterparts.count(result.reading(), stops.get(0).part());
        if (equal == 0) {
            return List.of(refused);
        }
        String label =
                equal == 1
                        ? "Copy to the same contour of an equal part"
                        : "Copy to %d equal contours".formatted(equal);
        return List.of(new SlipRow.Press("copies", label), refused);
    }
}
