package dev.oleander.drawing.file;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.geometry.LongRun;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Files with damage: whatever it is, a reading or a sentence for the person who brought the file,
 * soon and without any other exception.
 */
class MutatedFilesTest {

    private static final List<String> FILES =
            List.of(
                    "bad_numbers.dxf",
                    "block_in_itself.dxf",
                    "chain_stopper_pawl.dxf",
                    "cleat_backing_plate.dxf",
                    "deck_hatch_panel.dxf",
                    "fairlead_base_gaps.dxf",
                    "nav_light_bracket_blank.dxf",
                    "ramp_tread_plates.dxf",
                    "rudder_hinge_plate.dxf",
                    "name_board_lettering.svg",
                    "outside_entity.svg",
                    "vent_louvre_panel.svg");

    private static final String[] PIECES = {
        "0",
        "-1",
        "1e308",
        "-1e308",
        "nan",
        "1e-300",
        "99999999999",
        "",
        "\n",
        "0\nSECTION\n",
        "0\nENDSEC\n",
        "0\nINSERT\n",
        "0\nSPLINE\n",
        "0\nEOF\n",
        "70\n999999\n",
        "210\n1\n",
        "<g>",
        "</g>",
        "<use href=\"#louvre\"/>",
        "M0,0",
        "a1e9 1e-9 0 1 1 5 5",
        "z",
        "%",
        "&#0;",
        "\u0000",
        "scale(0)",
        "matrix(1e200 0 0 1e-200 0 0)",
        "viewBox=\"0 0 0 0\"",
        "\"",
        ">",
        "é"
    };

    /** Seconds that one file may take: limits of reading, and some for reading what it is. */
    private static final double MOST_SECONDS = 10;

    private static final int ORDINARY = 600;

    private static final ImportOptions LIMITS =
            ImportOptions.defaults().withFit(0.1).withLimits(1 << 20, 20_000, 2_000);

    @Test
    void isReadOrToldWhatIsWrong() {
        int told = 0;
        for (long seed = 0; seed < ORDINARY; seed++) {
            Optional<String> sentence = outcome(seed);
            told += sentence.isPresent() ? 1 : 0;
            sentence.ifPresent(s -> assertThat(s).doesNotContain("Exception", "null"));
        }
        assertThat(told).as("files refused").isBetween(1, ORDINARY - 1);
    }

    /** Found by long runs: a curve far smaller than the tolerance, ends that fall together. */
    @ParameterizedTest
    @ValueSource(
            longs = {
                229, 10931, 11820, 22730, 23314, 28298, 234160, 274875, 288155, 363649, 43492,
                126236, 176717
            })
    void foundFailuresStayMended(long seed) {
        outcome(seed).ifPresent(s -> assertThat(s).endsWith("."));
    }

    @Test
    @EnabledIfSystemProperty(named = LongRun.SWITCH, matches = "\\d+")
    void longRun() {
        LongRun.of(
                seed -> {
                    outcome(seed);
                    return List.of();
                });
    }

    /** The sentence a damaged file is refused with; empty when it can be read. */
    private static Optional<String> outcome(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        String name = FILES.get(random.nextInt(FILES.size()));
        byte[] bytes = mutated(Samples.bytes(name), random);
        long began = System.nanoTime();
        try {
            Drawing drawing = new DrawingFiles(LIMITS).read(name, bytes);
            new DrawingReading(ReadOptions.defaults()).read(drawing);
            return Optional.empty();
        } catch (DrawingException told) {
            assertThat(told.getMessage()).startsWith(name).endsWith(".");
            return Optional.of(told.getMessage());
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError wrong) {
            throw new IllegalStateException("seed " + seed + " of " + name, wrong);
        } finally {
            double seconds = (System.nanoTime() - began) / 1e9;
            assertThat(seconds).as("seed %d of %s", seed, name).isLessThan(MOST_SECONDS);
        }
    }

    private static byte[] mutated(byte[] original, SplittableRandom random) {
        String text = new String(original, StandardCharsets.UTF_8);
        int changes = 1 + random.nextInt(4);
        for (int i = 0; i < changes && text.length() > 1; i++) {
            text = changed(text, random);
        }
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static String changed(String text, SplittableRandom random) {
        int at = random.nextInt(text.length());
        int end =
                Math.min(
                        text.length(),
                        at + 1 + random.nextInt(random.nextInt(10) == 0 ? 4000 : 12));
        String head = text.substring(0, at);
        String piece = PIECES[random.nextInt(PIECES.length)];
        return switch (random.nextInt(14)) {
            case 0 -> head + text.substring(end);
            case 1 -> head + piece + text.substring(at);
            case 2 -> head + piece + text.substring(end);
            case 3 -> head + text.substring(at, end) + text.substring(at);
            case 4 -> head + (char) random.nextInt(256) + text.substring(at + 1);
            case 5 -> random.nextInt(8) == 0 ? head : swappedLines(text, random);
            default -> {
                String value = random.nextInt(3) == 0 ? piece : number(random);
                yield text.contains("<svg")
                        ? replacedNumber(text, at, value)
                        : replacedValue(text, random, value);
            }
        };
    }

    private static String number(SplittableRandom random) {
        double size = Math.pow(10, random.nextInt(-3, 4));
        return String.valueOf(Math.rint(1000 * random.nextDouble(-size, size)) / 1000);
    }

    /** In files of pairs the values stand on every second line. */
    private static String replacedValue(String text, SplittableRandom random, String value) {
        String[] lines = text.split("\n", -1);
        if (lines.length > 1) {
            lines[1 + 2 * random.nextInt(lines.length / 2)] = value.replace("\n", " ");
        }
        return String.join("\n", lines);
    }

    private static String replacedNumber(String text, int at, String piece) {
        int from = at;
        while (from < text.length() && !Character.isDigit(text.charAt(from))) {
            from++;
        }
        int to = from;
        while (to < text.length() && "0123456789.eE-".indexOf(text.charAt(to)) >= 0) {
            to++;
        }
        return text.substring(0, from) + piece + text.substring(to);
    }

    private static String swappedLines(String text, SplittableRandom random) {
        String[] lines = text.split("\n", -1);
        int a = random.nextInt(lines.length);
        int b = random.nextInt(lines.length);
        String kept = lines[a];
        lines[a] = lines[b];
        lines[b] = kept;
        return String.join("\n", lines);
    }
}
