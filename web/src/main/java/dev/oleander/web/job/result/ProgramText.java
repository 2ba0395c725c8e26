package dev.oleander.web.job.result;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.dialect.Written;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.progress.Progress;
import dev.oleander.work.Plan;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        Plan plan = result.plan();
        Dialect format = plan.callsCopies() ? given : given.writtenOut();
        PostedProgram posted = plan.posted();
        Map<String, String> names = plan.stopNames();
        SplitWriter writer = new SplitWriter(format);
        SplitWriter.Texts texts =
                trial.isEmpty()
                        ? writer.write(posted.program(), frame, names)
                        : writer.write(posted.program(), trial::contains, frame, names);
        return rechecked(texts.mapped(posted.itemOfHead()::get), trial.isEmpty(), plan, format);
    }

    /**
     * What is read back must also do what is planned, by the judge of its kind of work; each part
     * that is a program of its own by itself.
     *
     * @param whole whether the text is the program of the whole run
     */
    private static SplitWriter.Texts rechecked(
            SplitWriter.Texts texts, boolean whole, Plan plan, Dialect format) {
        if (!texts.checked().isTrue()) {
            return texts;
        }
        Program motion = plan.timeline(Progress.NONE).program();
        List<Written> parts = texts.parts();
        SplitWriter.Texts found = texts;
        for (Written part : parts) {
            Program read = new DialectReader(format).read(part.text()).program();
            Optional<Set<String>> some =
                    whole && parts.size() == 1
                            ? Optional.empty()
                            : Optional.of(stops(part, motion));
            Plan.Recheck recheck = plan.recheck(read, some);
            found = found.found(recheck.deviation(), recheck.faults());
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
}
