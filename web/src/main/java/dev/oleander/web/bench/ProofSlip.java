package dev.oleander.web.bench;

import dev.oleander.geometry.Point;
import dev.oleander.motion.Seconds;
import dev.oleander.price.PriceList;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Set;
import org.springframework.util.StringUtils;

/** What the proof checked and found, and the machine time by kind. */
public final class ProofSlip {

    /** One finding as the slip shows it. */
    public record FindingRow(
            String id,
            int number,
            String key,
            String severity,
            String css,
            String sentence,
            String stop,
            String x,
            String y,
            double moment,
            boolean acceptable,
            String accepted) {}

    private final Proof proof;
    private final Seconds seconds;
    private final List<ShapeSlip.Figure> pieces;

    private final String starts;

    /**
     * @param stops ids of the selected stops
     */
    ProofSlip(JobResult result, Set<String> stops, PriceList prices) {
        this.pieces = PieceFigures.of(result, stops, prices);
        this.proof = result.proof();
        this.seconds = result.timeline().seconds();
        this.starts = StringUtils.capitalize(result.kind().starts());
    }

    public List<FindingRow> findings() {
        return proof.findings().stream().map(ProofSlip::row).toList();
    }

    private static FindingRow row(Finding f) {
        return new FindingRow(
                f.id(),
                Integer.parseInt(f.id().substring(1)),
                f.key(),
                f.severity().word(),
                f.severity().word().replace(' ', '-'),
                f.sentence(),
                f.stop(),
                f.place().map(Point::x).map(x -> Numbers.plain(x, 3)).orElse(""),
                f.place().map(Point::y).map(y -> Numbers.plain(y, 3)).orElse(""),
                f.moment(),
                f.severity() == Severity.LOOK,
                f.accepted().orElse(""));
    }

    public List<Proof.RuleRun> rules() {
        return proof.rules();
    }

    public List<ShapeSlip.Figure> times() {
        return List.of(
                new ShapeSlip.Figure("Cutting", Numbers.duration(seconds.cutting())),
                new ShapeSlip.Figure("Travel", Numbers.duration(seconds.travel())),
                new ShapeSlip.Figure(starts, Numbers.duration(seconds.piercing())),
                new ShapeSlip.Figure("People", Numbers.duration(seconds.people())),
                new ShapeSlip.Figure("Total", Numbers.duration(seconds.total())));
    }

    /** What the selected stops, or all, set free. */
    public List<ShapeSlip.Figure> pieces() {
        return pieces;
    }

    public boolean isReleasable() {
        return proof.releasable();
    }
}
