package dev.oleander.web.job.result;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.drawing.revise.ReadingMatch;
import dev.oleander.geometry.Point;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.document.ShapeChoices.Lost;
import dev.oleander.web.job.document.ShapeChoices.Revision;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * A new version of the drawing of a job: what was decided about features that are still there goes
 * over to them; what moved is stale, what is gone is listed with its old place.
 */
@Component
public class Revisions {

    /** mm; a contour that lies no farther from the old one is the same. */
    private static final double SAME = 0.02;

    private final JobComputer computer;

    Revisions(JobComputer computer) {
        this.computer = computer;
    }

    /**
     * What a new version did.
     *
     * @param kept number of features that did not change
     * @param stale ids of those that moved or changed
     */
    public record Outcome(JobDocument document, int kept, List<String> stale, List<Lost> lost) {}

    /**
     * @param files ids of the new version's files
     * @throws dev.oleander.drawing.DrawingException when one cannot be read
     */
    public Outcome revise(JobResult before, List<Long> files) {
        JobDocument old = before.document();
        ShapeChoices shape = old.shape();
        JobDocument plain = old.withShape(shape.withFiles(files, Revision.NONE));
        Reading now = computer.result(plain).reading();
        ReadingMatch.Match match = new ReadingMatch(SAME).match(before.reading(), now);
        Carrying to = new Carrying(before.reading(), now, match);
        JobDocument carried =
                plain.carried(to)
                        .reshaped(
                                s ->
                                        s.withFeatures(to.keys(shape.features()))
                                                .withTurned(to.keys(shape.turned())));
        List<Lost> lost = match.lost().stream().map(Revisions::lost).toList();
        Revision open = new Revision(to.stale(), lost);
        int kept = match.same().size() + match.changed().size() - open.stale().size();
        return new Outcome(
                carried.reshaped(s -> s.withRevision(open)), kept, List.copyOf(open.stale()), lost);
    }

    private static Lost lost(Feature f) {
        Point at = f.chain().box().centre();
        String name = f.form().map(form -> form.label()).orElse("Line");
        return new Lost(f.id(), name, at.x(), at.y());
    }
}
