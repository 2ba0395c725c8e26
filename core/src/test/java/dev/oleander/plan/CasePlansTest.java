package dev.oleander.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.Timeline;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Severity;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every sample drawing that is read becomes a proven text, with each material. */
class CasePlansTest {

    /**
     * Two drawings have an open line; in two, parts touch, so that one's kerf is the other's loss.
     */
    private static final Map<String, Set<String>> EXPECTED =
            Map.of(
                    "fairlead_base_gaps", Set.of("open"),
                    "flag_socket_islands", Set.of("gouge", "web"),
                    "ramp_tread_plates", Set.of("gouge", "open"));

    @ParameterizedTest
    @CsvSource({
        "cleat_backing_plate, mild steel, 6",
        "cleat_backing_plate, stainless, 3",
        "chain_stopper_pawl, mild steel, 10",
        "deck_hatch_panel, aluminium, 4",
        "flag_socket_islands, stainless, 3",
        "porthole_trim_ring, stainless, 2",
        "ramp_tread_plates, mild steel, 5",
        "sheave_cheek_plate, mild steel, 6",
        "winch_drum_cheek, mild steel, 10",
        "fairlead_base_gaps, mild steel, 8"
    })
    void becomeTextsThatReadBackAsPlanned(String name, String material, double thickness) {
        Reading reading = Samples.reading(name);
        Run run = Samples.plan(reading, material, thickness, 3);
        Timeline timeline = Samples.time(run);
        Proof proof = Samples.prove(reading, run);

        assertThat(proof.findings().stream().filter(f -> f.rule().equals("order"))).isEmpty();
        CheckedWriter.Checked checked = Samples.write(run, timeline);
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isLessThan(1e-3);
        assertThat(mustFix(proof)).isSubsetOf(EXPECTED.getOrDefault(name, Set.of()));
    }

    private static Set<String> mustFix(Proof proof) {
        return proof.findings().stream()
                .filter(f -> f.severity() == Severity.MUST_FIX)
                .map(Finding::rule)
                .collect(Collectors.toSet());
    }
}
