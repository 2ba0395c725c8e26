package dev.oleander.nesting;

import dev.oleander.Samples;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.nesting.file.NestFile;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/** Nesting tasks for tests. */
public final class NestTasks {

    private NestTasks() {}

    /** A case that ships. */
    public static NestTask sample(String name) {
        byte[] bytes = Samples.bytes("nest/" + name + ".case.json");
        return NestFile.task(new String(bytes, StandardCharsets.UTF_8));
    }

    public static Region rectangle(double width, double height) {
        return new Region(
                Contour.rectangle(new Box(Point.ORIGIN, new Point(width, height))), List.of());
    }

    /** A ring; its opening holds other parts. */
    public static Region ring(double outer, double inner) {
        return new Region(
                Contour.circle(Point.ORIGIN, outer),
                List.of(Contour.circle(Point.ORIGIN, inner).turning(false)));
    }

    /** A comb: teeth of one width and height on a back. */
    public static Region comb(int teeth, double width, double height) {
        List<Point> corners = new ArrayList<>();
        corners.add(new Point(0, 0));
        corners.add(new Point((2 * teeth - 1) * width, 0));
        for (int t = teeth - 1; t >= 0; t--) {
            corners.add(new Point((2 * t + 1) * width, height));
            corners.add(new Point(2 * t * width, height));
            if (t > 0) {
                corners.add(new Point(2 * t * width, width));
                corners.add(new Point((2 * t - 1) * width, width));
            }
        }
        return polygon(corners);
    }

    /** A star with points of random length. */
    public static Region star(SplittableRandom random, int points, double size) {
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < 2 * points; i++) {
            double far =
                    i % 2 == 0 ? 0.7 + 0.3 * random.nextDouble() : 0.3 + 0.2 * random.nextDouble();
            corners.add(Point.polar(size * far, Math.PI * i / points));
        }
        return polygon(corners);
    }

    public static Region polygon(List<Point> corners) {
        List<Segment> edges = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            edges.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Region(new Contour(edges), List.of());
    }

    public static OrderLine line(String id, Region shape, int quantity, AllowedTurns turns) {
        return new OrderLine(
                id, "job", shape, quantity, 1, Optional.empty(), false, turns, false, 0);
    }

    public static OrderLine line(String id, Region shape, int quantity, int priority) {
        return new OrderLine(
                id,
                "job",
                shape,
                quantity,
                priority,
                Optional.empty(),
                false,
                AllowedTurns.QUARTER,
                false,
                0);
    }

    /** As many sheets of one size as are needed. */
    public static SheetStock sheet(double width, double height) {
        return new SheetStock(
                "full", rectangle(width, height), Optional.empty(), 100, Optional.empty(), false);
    }

    public static NestRules rules(double gap, double margin) {
        return new NestRules(gap, margin, true, Optional.empty());
    }

    public static NestTask task(List<OrderLine> lines, SheetStock... sheets) {
        return new NestTask(lines, List.of(sheets), rules(4, 8), List.of());
    }

    /** Any shapes, turns and distances, on a sheet and a remnant with a hole. */
    public static NestTask random(SplittableRandom random) {
        AllowedTurns[] turns = {
            AllowedTurns.FIXED,
            AllowedTurns.HALF,
            AllowedTurns.QUARTER,
            AllowedTurns.ANY,
            new AllowedTurns(45)
        };
        List<OrderLine> lines = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            Region shape =
                    switch (random.nextInt(4)) {
                        case 0 -> star(random, 4, 60);
                        case 1 -> comb(3, 8, 50);
                        case 2 -> ring(70, 50);
                        default -> rectangle(40, 25);
                    };
            lines.add(
                    new OrderLine(
                            "l" + i,
                            "job",
                            shape,
                            1 + random.nextInt(6),
                            1 + random.nextInt(3),
                            Optional.empty(),
                            i > 0 && random.nextInt(4) == 0,
                            turns[random.nextInt(turns.length)],
                            random.nextBoolean(),
                            random.nextInt(3) == 0 ? 12 * random.nextDouble() : 0));
        }
        Optional<Double> grain =
                random.nextBoolean() ? Optional.of(90.0 * random.nextInt(2)) : Optional.empty();
        SheetStock full =
                new SheetStock(
                        "full",
                        rectangle(500, 300),
                        random.nextBoolean() ? Optional.of(1) : Optional.empty(),
                        100,
                        grain,
                        false);
        Region outline =
                polygon(
                        List.of(
                                new Point(0, 0),
                                new Point(420, 0),
                                new Point(420, 150),
                                new Point(200, 280),
                                new Point(0, 280)));
        Region holed =
                new Region(
                        outline.outer(),
                        List.of(Contour.circle(new Point(250, 100), 30).turning(false)));
        SheetStock remnant =
                new SheetStock("R1", holed, Optional.of(1), 20, Optional.empty(), true);
        double gap = random.nextInt(4) == 0 ? 0 : random.nextDouble(6);
        NestRules rules =
                new NestRules(
                        gap,
                        gap + random.nextDouble(6),
                        random.nextBoolean(),
                        random.nextBoolean()
                                ? Optional.of(new NestRules.RemnantRule(100, 0.6))
                                : Optional.empty());
        return new NestTask(lines, List.of(full, remnant), rules, List.of());
    }
}
