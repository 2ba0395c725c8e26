package dev.oleander.web.job;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.dialect.Written;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.DataTable;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.Registers;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.proof.WireReplay;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;

/** A job's program as text, read back and compared. */
public final class ProgramText {

    private ProgramText() {}

    /**
     * The program in a format, in as many files as that asks for. Its lines know the items of the
     * head's motion that they write.
     *
     * @param frame values for header and footer
     * @param trial ids of the stops of a trial; none: all of the run
     */
    public static SplitWriter.Texts of(
            JobResult result, Dialect given, Map<String, String> frame, Set<String> trial) {
        boolean out = Boolean.FALSE.equals(result.document().wire().calls());
        Dialect format = out ? given.writtenOut() : given;
        PostedProgram posted = posted(result);
        Map<String, String> names = names(result);
        SplitWriter writer = new SplitWriter(format);
        if (trial.isEmpty()) {
            SplitWriter.Texts texts =
                    mapped(writer.write(posted.program(), frame, names), posted.itemOfHead()::get);
            return result.wire().map(plan -> replayed(texts, result, format)).orElse(texts);
        }
        boolean home = format.positions() == Dialect.Positions.INCREMENTAL;
        Excerpt part = Excerpt.of(posted.program(), trial::contains, home);
        return mapped(
                writer.write(part.program(), frame, names),
                i -> part.itemOf().get(i) < 0 ? -1 : posted.itemOfHead().get(part.itemOf().get(i)));
    }

    private static PostedProgram posted(JobResult result) {
        return result.wireMotion()
                .map(m -> new PostedProgram(m.posted(), m.itemOfWire()))
                .orElseGet(
                        () ->
                                PostedProgram.of(
                                        result.run(),
                                        result.reading().byId(),
                                        result.timeline().program()));
    }

    /** What is read back must also move the wire as planned, by registers and angles. */
    private static SplitWriter.Texts replayed(
            SplitWriter.Texts texts, JobResult result, Dialect format) {
        WirePlan plan = result.wire().orElseThrow();
        Checked checked = texts.checked();
        if (!checked.isTrue() || !format.events().containsKey("thread")) {
            return texts;
        }
        Program read = new DialectReader(format).read(checked.written().text()).program();
        WireReplay.Result replay =
                WireReplay.compare(
                        result.wireMotion().orElseThrow().wire(),
                        read,
                        plan.registers(),
                        plan.task().height());
        double deviation = Math.max(checked.deviation(), replay.deviation());
        return new SplitWriter.Texts(
                new Checked(checked.written(), deviation, checked.limit(), replay.faults()),
                texts.lines());
    }

    private static SplitWriter.Texts mapped(SplitWriter.Texts texts, IntUnaryOperator itemOf) {
        Checked checked = texts.checked();
        Written text = checked.written();
        List<Integer> items =
                text.itemOfLine().stream().map(i -> i < 0 ? -1 : itemOf.applyAsInt(i)).toList();
        Written known = new Written(text.lines(), items, text.lineEnd());
        return new SplitWriter.Texts(
                new Checked(known, checked.deviation(), checked.limit(), checked.faults()),
                texts.lines());
    }

    /** Names of the stops for comments, by id. */
    public static Map<String, String> names(JobResult result) {
        if (result.wire().isPresent()) {
            return result.run().stops().stream()
                    .collect(Collectors.toMap(Stop::id, ProgramText::plainName, (a, b) -> a));
        }
        List<CutRow> rows = DataTable.of(result.run());
        return result.run().stops().stream()
                .collect(Collectors.toMap(Stop::id, stop -> nameOf(stop, rows), (a, b) -> a));
    }

    private static String plainName(Stop stop) {
        return "%d %s".formatted(stop.number(), stop.name());
    }

    /** With the register that its controller needs, where it offsets the path. */
    private static String nameOf(Stop stop, List<CutRow> rows) {
        String name = plainName(stop);
        boolean plain = stop.compensation() == Compensation.PATH || stop.row().isEmpty();
        return plain
                ? name
                : "%s, D%d = %s"
                        .formatted(
                                name,
                                Registers.of(stop, rows),
                                Numbers.plain(Registers.value(stop), 3));
    }
}
