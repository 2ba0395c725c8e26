package dev.oleander.dialect;

import dev.oleander.motion.Program;
import java.util.HashMap;
import java.util.Map;

/** Writes motion programs in one dialect. */
public final class DialectWriter {

    private final Dialect dialect;

    public DialectWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    /**
     * @param frame values for header and footer by name; parameters that are not among them are as
     *     usual
     * @param stopNames name of each stop by its id, for comments
     * @throws DialectException when a template asks for a value that there is not, or a number is
     *     too large
     */
    public Written write(
            Program program, Map<String, String> frame, Map<String, String> stopNames) {
        return write(Expressible.of(program, dialect), frame, stopNames);
    }

    Written write(Expressible program, Map<String, String> frame, Map<String, String> stopNames) {
        TextLines text = new TextLines(dialect, stopNames);
        Map<String, String> values = new HashMap<>(frame);
        values.putIfAbsent("part", "1");
        values.putIfAbsent("parts", "1");
        dialect.parameters().forEach(p -> values.putIfAbsent(p.name(), p.usual()));
        text.frame("header", dialect.header(), values);
        Program said = program.program();
        switch (dialect.language()) {
            case WORDS -> new WordWriter(dialect, text).write(said, program.itemOf());
            case CODES -> new CodeWriter(dialect, text).write(said, program.itemOf());
            case STATEMENTS -> new StatementWriter(dialect, text).write(said, program.itemOf());
            case TABLE -> new TableWriter(dialect, text).write(said, program.itemOf());
        }
        text.frame("footer", dialect.footer(), values);
        return text.written();
    }
}
