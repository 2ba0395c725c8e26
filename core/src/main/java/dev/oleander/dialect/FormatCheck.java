package dev.oleander.dialect;

import dev.oleander.motion.Program;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Whether a description can be used: it is read, and its sample programs are written and read back.
 *
 * @param dialect null when the description cannot be read
 * @param problem why it cannot, naming line and field; empty when it can
 * @param samples by what they show, what is wrong with them; empty lists when they are as planned
 */
public record FormatCheck(Dialect dialect, String problem, Map<String, List<String>> samples) {

    public static FormatCheck of(String file, String yaml) {
        Dialect dialect;
        try {
            dialect = DialectLibrary.parse(file, yaml);
        } catch (DialectException wrong) {
            return new FormatCheck(null, wrong.getMessage(), Map.of());
        }
        Map<String, List<String>> samples = new LinkedHashMap<>();
        SamplePrograms.of(dialect)
                .forEach((name, program) -> samples.put(name, faults(dialect, program)));
        return new FormatCheck(dialect, "", samples);
    }

    private static List<String> faults(Dialect dialect, Program program) {
        try {
            return new CheckedWriter(dialect)
                    .write(program, SamplePrograms.FRAME, Map.of())
                    .faults();
        } catch (DialectException wrong) {
            return List.of(wrong.getMessage());
        }
    }

    /** Whether it may be saved. */
    public boolean isUsable() {
        return dialect != null && samples.values().stream().allMatch(List::isEmpty);
    }

    /** All that is wrong, in sentences. */
    public List<String> faults() {
        List<String> all = new ArrayList<>();
        if (!problem.isEmpty()) {
            all.add(problem);
        }
        samples.forEach(
                (name, faults) ->
                        faults.forEach(fault -> all.add("Sample %s: %s".formatted(name, fault))));
        return all;
    }
}
