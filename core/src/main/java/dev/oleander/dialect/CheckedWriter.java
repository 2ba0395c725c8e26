package dev.oleander.dialect;

import dev.oleander.motion.Program;
import dev.oleander.proof.ProgramComparison;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Writes a program, reads the text back with the dialect's reader and compares the two. */
public final class CheckedWriter {

    /**
     * mm; the text may leave the plan by this, or by what its words can express if that is more.
     */
    private static final double LIMIT = 1e-3;

    private final Dialect dialect;

    public CheckedWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    /**
     * A text and what reading it back gave.
     *
     * @param deviation greatest distance between plan and text, mm
     * @param limit mm
     * @param faults sentences; empty when the text does what was planned
     */
    public record Checked(Written written, double deviation, double limit, List<String> faults) {

        public Checked {
            faults = List.copyOf(faults);
        }

        public boolean isTrue() {
            return faults.isEmpty();
        }
    }

    /**
     * mm that a text of a dialect may leave a plan by: at least a step in every axis, since an arc
     * whose ends are rounded by half a step leaves its middle by more.
     */
    public static double limit(Dialect dialect) {
        int axes = dialect.motion().depth() ? 3 : 2;
        return Math.max(LIMIT, Math.sqrt(axes) * dialect.resolution());
    }

    /** See {@link DialectWriter#write} for the arguments. */
    public Checked write(
            Program program, Map<String, String> frame, Map<String, String> stopNames) {
        Expressible said = Expressible.of(program, dialect);
        Written written = new DialectWriter(dialect).write(said, frame, stopNames);
        ReadBack back = new DialectReader(dialect).read(written.text());
        ProgramComparison.Result result =
                new ProgramComparison(dialect.resolution()).compare(said.program(), back.program());
        double deviation = result.deviation() + said.deviation();
        double limit = limit(dialect);
        List<String> faults = new ArrayList<>();
        back.problems()
                .forEach(
                        p ->
                                faults.add(
                                        "Line %d, column %d: %s"
                                                .formatted(p.line(), p.column(), p.sentence())));
        faults.addAll(result.differences());
        if (deviation > limit) {
            faults.add(
                    "The text leaves the plan by %s (allowed %s)."
                            .formatted(Numbers.length(deviation), Numbers.length(limit)));
        }
        return new Checked(written, deviation, limit, faults);
    }
}
