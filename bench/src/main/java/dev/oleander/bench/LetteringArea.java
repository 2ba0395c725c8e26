package dev.oleander.bench;

import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.drawing.bridge.Bridges;
import dev.oleander.drawing.letter.FontFile;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.drawing.letter.TextLayout;
import dev.oleander.drawing.letter.TextSpec;
import dev.oleander.drawing.letter.TypeFace;
import dev.oleander.drawing.picture.DotSpec;
import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.Reduced;
import dev.oleander.drawing.picture.Trace;
import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.drawing.picture.Tracer;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.progress.Progress;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Pictures, letters, bridges and holes, of the sizes that people bring. */
final class LetteringArea implements Area {

    private static final int RUNS = 5;

    /** s, all of them */
    private static final double PICTURE = 1;

    /** s until people see what a value would do */
    private static final double LOOK = 0.3;

    private static final int LOOKED_AT = 1_000_000;
    private static final double LETTERS = 0.1;
    private static final double BRIDGES = 1;
    private static final double DOTS = 1;

    /** pixels; the limits of people's patience with the edge of a disc */
    private static final double OFF = 0.03;

    private static final int SIDE = 2000;

    @Override
    public String name() {
        return "lettering";
    }

    @Override
    public List<Row> measure() {
        List<Row> rows = new ArrayList<>();
        pictures(rows);
        letters(rows);
        bridges(rows);
        dots(rows);
        return rows;
    }

    // ---- pictures

    private static void pictures(List<Row> rows) {
        Picture discs = discs();
        Trace[] trace = new Trace[1];
        double seconds =
                Timing.median(
                        RUNS,
                        () -> {
                            trace[0] = Tracer.trace(discs, TraceSpec.USUAL, Progress.NONE);
                        });
        rows.add(
                Row.below(
                        "4 megapixels, %d rings and squares traced"
                                .formatted(trace[0].contours().size()),
                        seconds,
                        "s",
                        PICTURE,
                        null));
        double off =
                trace[0].contours().stream()
                        .filter(c -> c.circleDiameter(1e-6).isPresent())
                        .mapToDouble(c -> Math.abs(c.circleDiameter(1e-6).getAsDouble() / 2 - 17.3))
                        .max()
                        .orElse(Double.NaN);
        rows.add(Row.below("the same: radius of a disc off", off, "px", OFF, null));
        lookedAt(rows, discs);
    }

    /** While a level is tried; one beside the best, where edges are worse. */
    private static void lookedAt(List<Row> rows, Picture discs) {
        Reduced small = Reduced.of(discs, LOOKED_AT);
        TraceSpec usual = TraceSpec.USUAL;
        TraceSpec tried =
                new TraceSpec(
                        usual.mode(),
                        Optional.of(200.0),
                        false,
                        false,
                        0,
                        9,
                        9,
                        Optional.empty(),
                        usual.corner(),
                        usual.polish());
        double seconds = Timing.median(RUNS, () -> Tracer.roughly(small, tried));
        rows.add(Row.below("the same looked at with another level", seconds, "s", LOOK, null));
    }

    /** Discs and turned squares in turn, with soft edges as of a scan. */
    private static Picture discs() {
        byte[] levels = new byte[SIDE * SIDE];
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                levels[y * SIDE + x] = (byte) Math.round(255 * (1 - covered(x, y)));
            }
        }
        return new Picture(SIDE, SIDE, levels);
    }

    /** Of a pixel, by places within it where an edge is near. */
    private static double covered(int x, int y) {
        double middle = inside(x + 0.5, y + 0.5);
        if (Math.abs(middle) > 1) {
            return middle > 0 ? 1 : 0;
        }
        int in = 0;
        for (int j = 0; j < 8; j++) {
            for (int i = 0; i < 8; i++) {
                in += inside(x + (i + 0.5) / 8, y + (j + 0.5) / 8) > 0 ? 1 : 0;
            }
        }
        return in / 64.0;
    }

    /** Distance to the edge of the shape in the cell, above 0 within it. */
    private static double inside(double x, double y) {
        double u = x % 50 - 25.3;
        double v = y % 50 - 24.8;
        boolean disc = ((int) (x / 50) + (int) (y / 50)) % 2 == 0;
        if (disc) {
            return 17.3 - Math.hypot(u, v);
        }
        double c = Math.cos(0.3);
        double s = Math.sin(0.3);
        return 14 - Math.max(Math.abs(c * u - s * v), Math.abs(s * u + c * v));
    }

    // ---- letters

    private static void letters(List<Row> rows) {
        TypeFace face = face();
        String line = "The quick ferry sails over 13 lazy moorings at dusk. ";
        String text = line.repeat(1_000 / line.length() + 1).substring(0, 1_000);
        double seconds =
                Timing.median(
                        RUNS,
                        () -> {
                            TextLayout.Laid laid = TextLayout.of(face, TextSpec.plain(text, 20));
                            LetterOutlines.of(laid, false, LetterOutlines.TOLERANCE);
                        });
        rows.add(Row.below("1,000 letters laid out, as outlines", seconds, "s", LETTERS, null));
    }

    private static TypeFace face() {
        try {
            Path file = Path.of("samples", "lettering", "slip_block.ttf");
            Path fonts = Path.of("web", "src", "main", "resources", "fonts");
            Path own = fonts.resolve("commissioner-400.ttf");
            Path of = Files.exists(own) ? own : file;
            return FontFile.read(Files.readAllBytes(of), of.getFileName().toString());
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    // ---- bridges

    /** A window of 45 x 45 islands. */
    private static void bridges(List<Row> rows) {
        List<Contour> contours = new ArrayList<>();
        contours.add(Contour.rectangle(Box.of(Point.ORIGIN, new Point(45 * 20 + 5, 45 * 20 + 5))));
        for (int j = 0; j < 45; j++) {
            for (int i = 0; i < 45; i++) {
                Point low = new Point(5 + 20 * i, 5 + 20 * j);
                double wide = 10 + (i * 7 + j * 3) % 5;
                contours.add(Contour.rectangle(Box.of(low, low.plus(new Point(wide, wide - 1)))));
            }
        }
        Bridges.Found[] found = new Bridges.Found[1];
        double seconds =
                Timing.median(
                        3,
                        () -> {
                            found[0] = Bridges.of(contours, BridgeWish.of(2));
                        });
        rows.add(
                Row.below(
                        "%,d islands, %,d bridges"
                                .formatted(found[0].islands(), found[0].bridges().size()),
                        seconds,
                        "s",
                        BRIDGES,
                        null));
    }

    // ---- holes

    private static void dots(List<Row> rows) {
        byte[] levels = new byte[1000 * 1000];
        for (int i = 0; i < levels.length; i++) {
            levels[i] = (byte) (i % 1000 / 4);
        }
        Picture fade = new Picture(1000, 1000, levels);
        DotSpec spec =
                new DotSpec(
                        3,
                        DotSpec.Pattern.SQUARE,
                        948.7,
                        0.5,
                        0.5,
                        List.of(1.0, 1.5, 2.0, 2.5),
                        true,
                        false);
        int[] count = new int[1];
        double seconds =
                Timing.median(
                        RUNS, () -> count[0] = Dots.of(fade, spec, Progress.NONE).holes().size());
        rows.add(
                Row.below(
                        "100,000 places, %,d holes".formatted(count[0]), seconds, "s", DOTS, null));
    }
}
