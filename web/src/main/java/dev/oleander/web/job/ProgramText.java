package dev.oleander.web.job;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.dialect.Written;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.DataTable;
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
        SplitWriter.Texts texts =
                trial.isEmpty()
                        ? writer.write(posted.program(), frame, names)
                        : writer.write(posted.program(), trial::contains, frame, names);
        SplitWriter.Texts mapped = texts.mapped(posted.itemOfHead()::get);
        boolean whole = trial.isEmpty() && mapped.lines().size() == 1;
        return result.wire().map(plan -> replayed(mapped, whole, result, format)).orElse(mapped);
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

    /**
     * What is read back must also move the wire as planned, by registers and angles; each part that
     * is a program of its own by itself.
     *
     * @param whole whether the text is the program of the run in one part
     */
    private static SplitWriter.Texts replayed(
            SplitWriter.Texts texts, boolean whole, JobResult result, Dialect format) {
        if (!texts.checked().isTrue() || !format.events().containsKey("thread")) {
            return texts;
        }
        WirePlan plan = result.wire().orElseThrow();
        Program wire = result.wireMotion().orElseThrow().wire();
        SplitWriter.Texts found = texts;
        for (Written part : texts.parts()) {
            Program read = new DialectReader(format).read(part.text()).program();
            Set<String> stops = stops(part, wire);
            WireReplay.Result replay =
                    whole
                            ? WireReplay.compare(wire, read, plan.registers(), plan.task().height())
                            : WireReplay.compare(
                                    wire,
                                    stops::contains,
                                    read,
                                    plan.registers(),
                                    plan.task().height());
            found = found.found(replay.deviation(), replay.faults());
        }
        return found;
    }

    /** Ids of the stops that a text works. */
    private static Set<String> stops(Written text, Program motion) {
        return text.itemOfLine().stream()
                .filter(i -> i >= 0)
                .map(i -> motion.items().get(i).origin().stop())
                .filter(stop -> !stop.isEmpty())
                .collect(Collectors.toSet());
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
