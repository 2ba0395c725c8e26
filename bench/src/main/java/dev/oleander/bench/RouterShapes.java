package dev.oleander.bench;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/** Large drawings for a router, the same ones every time. */
final class RouterShapes {

    /** mm */
    private static final double LENGTH = 900;

    private static final double WIDTH = 700;
    private static final double BULGE = 0.35;

    private static final int WALLS = 200;
    private static final int ISLANDS = 30;
    private static final int ISLAND = 60;
    private static final int COLUMNS = 125;
    private static final int ROWS = 80;
    private static final int PETALS = 100;

    private final StringBuilder dxf = new StringBuilder("0\nSECTION\n2\nENTITIES\n");

    private record Vertex(Point at, double bulge) {}

    /** A well with 30 scalloped islands in it, of 2,000 segments. */
    static Reading pocket() {
        RouterShapes shapes = new RouterShapes();
        List<Vertex> wall = new ArrayList<>();
        for (int i = 0; i < WALLS; i++) {
            wall.add(new Vertex(onFrame(4.0 * i / WALLS), i % 2 == 0 ? 0 : BULGE));
        }
        shapes.ring("WELL", wall);
        for (int i = 0; i < ISLANDS; i++) {
            Point at = new Point(90 + 145.0 * (i % 6), 80 + 135.0 * (i / 6));
            shapes.ring("KEEP", scalloped(at, 30, ISLAND));
        }
        return shapes.read();
    }

    /**
     * @param t sides of the frame that are gone
     */
    private static Point onFrame(double t) {
        double f = t - Math.floor(t);
        return switch ((int) t) {
            case 0 -> new Point(f * LENGTH, 0);
            case 1 -> new Point(LENGTH, f * WIDTH);
            case 2 -> new Point(LENGTH - f * LENGTH, WIDTH);
            default -> new Point(0, WIDTH - f * WIDTH);
        };
    }

    private static List<Vertex> scalloped(Point centre, double radius, int corners) {
        List<Vertex> ring = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            Point at = Point.polar(radius + 3 * (i % 2), 2 * Math.PI * i / corners);
            ring.add(new Vertex(centre.plus(at), i % 3 == 0 ? 0 : 0.2));
        }
        return ring;
    }

    /** Places of 10,000 holes, one in each cell, so that none overlap. */
    static List<Point> holes() {
        SplittableRandom random = new SplittableRandom(3);
        List<Point> places = new ArrayList<>();
        for (int i = 0; i < COLUMNS * ROWS; i++) {
            double x = 10 + 20 * (i % COLUMNS) + random.nextDouble(-6, 6);
            double y = 10 + 20 * (i / COLUMNS) + random.nextDouble(-6, 6);
            places.add(new Point(x, y));
        }
        return places;
    }

    static Reading holed(List<Point> places) {
        RouterShapes shapes = new RouterShapes();
        places.forEach(p -> shapes.circle("HOLE", p, 2.5));
        return shapes.read();
    }

    /** Two hundred flowers of 100 lines each. */
    static List<Region> carved() {
        List<Region> all = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            Point centre = new Point(60 + 110.0 * (i / 10), 60 + 110.0 * (i % 10));
            all.add(new Region(flower(centre), List.of()));
        }
        return all;
    }

    private static Contour flower(Point centre) {
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < PETALS; i++) {
            lines.add(new Line(petal(centre, i), petal(centre, (i + 1) % PETALS)));
        }
        return new Contour(lines);
    }

    private static Point petal(Point centre, int i) {
        double angle = 2 * Math.PI * i / PETALS;
        double radius = 30 + 16 * Math.cos(5 * angle) + 2 * Math.sin(23 * angle);
        return centre.plus(Point.polar(radius, angle));
    }

    /**
     * Boards with a scalloped recess round an island, holes and an outline, in columns of eight.
     */
    static Reading boards(int count) {
        RouterShapes shapes = new RouterShapes();
        for (int i = 0; i < count; i++) {
            Point corner = new Point(20 + 130.0 * (i / 8), 20 + 145.0 * (i % 8));
            Point centre = corner.plus(new Point(50, 60));
            shapes.ring("OUTLINE", rectangle(corner, 100, 120));
            shapes.ring("RECESS", scalloped(centre, 38, ISLAND));
            shapes.ring("KEEP", scalloped(centre, 8, 12));
            for (int k = 0; k < 4; k++) {
                Point hole = new Point(8 + 84.0 * (k % 2), 8 + 104.0 * (k / 2));
                shapes.circle("HOLE", corner.plus(hole), 2.5);
            }
        }
        return shapes.read();
    }

    private static List<Vertex> rectangle(Point corner, double width, double height) {
        return List.of(
                new Vertex(corner, 0),
                new Vertex(corner.plus(new Point(width, 0)), 0),
                new Vertex(corner.plus(new Point(width, height)), 0),
                new Vertex(corner.plus(new Point(0, height)), 0));
    }

    private void circle(String layer, Point at, double radius) {
        add("0\nCIRCLE\n8\n%s\n10\n%.6f\n20\n%.6f\n40\n%.6f\n", layer, at.x(), at.y(), radius);
    }

    private void ring(String layer, List<Vertex> vertices) {
        add("0\nPOLYLINE\n8\n%s\n66\n1\n70\n1\n", layer);
        for (Vertex v : vertices) {
            add(
                    "0\nVERTEX\n8\n%s\n10\n%.6f\n20\n%.6f\n42\n%.9f\n",
                    layer, v.at.x(), v.at.y(), v.bulge);
        }
        add("0\nSEQEND\n");
    }

    private void add(String format, Object... values) {
        dxf.append(String.format(Locale.ROOT, format, values));
    }

    private Reading read() {
        byte[] bytes = (dxf + "0\nENDSEC\n0\nEOF\n").getBytes(StandardCharsets.US_ASCII);
        ImportOptions options = ImportOptions.defaults().withUnit(LengthUnit.MILLIMETRE);
        return new DrawingReading(ReadOptions.defaults())
                .read(new DrawingFiles(options).read("shapes.dxf", bytes));
    }
}
