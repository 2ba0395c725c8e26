package dev.oleander.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * Writes a large drawing: rows of plates, each a rounded outline (4 lines, 4 arcs), a slot (2
 * lines, 2 arcs), a window (4 lines) and 8 holes: 24 entities, 11 closed contours.
 */
final class PlateSheet {

    static final int ENTITIES_PER_PLATE = 24;
    static final int CONTOURS_PER_PLATE = 11;

    /** Share of the plates that have gaps and a doubled line in worn drawings. */
    private static final double WORN = 0.3;

    private final List<String> entities = new ArrayList<>();
    private final SplittableRandom random;
    private final double wear;

    private PlateSheet(long seed, double wear) {
        this.random = new SplittableRandom(seed);
        this.wear = wear;
    }

    /** The text of a DXF file; the same seed gives the same text. */
    static String of(int plates, long seed) {
        return new PlateSheet(seed, 0).file(plates);
    }

    /** Plates with notes, gaps and doubled lines, in no order; as many entities as asked for. */
    static String worn(int entities) {
        PlateSheet sheet = new PlateSheet(7, WORN);
        sheet.file(entities / (ENTITIES_PER_PLATE + 1));
        Collections.shuffle(sheet.entities, new Random(7));
        return sheet.text();
    }

    private String file(int plates) {
        int columns = (int) Math.ceil(Math.sqrt(plates));
        for (int i = 0; i < plates; i++) {
            plate(i % columns * 320.0, i / columns * 200.0);
        }
        return text();
    }

    private String text() {
        return "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
                + String.join("", entities)
                + "0\nENDSEC\n0\nEOF\n";
    }

    private void plate(double x, double y) {
        double w = random.nextInt(200, 300);
        double h = random.nextInt(120, 180);
        double r = random.nextInt(6, 20);
        boolean worn = random.nextDouble() < wear;
        line(x + r, y, x + w - r - (worn ? random.nextDouble(0.002, 0.04) : 0), y);
        if (worn) {
            line(x + w - r, y, x + r, y);
        }
        if (wear > 0) {
            add(
                    "0\nTEXT\n8\nNOTES\n10\n%.6f\n20\n%.6f\n40\n6.0\n1\nDECK PLATE\n",
                    x + w / 2 - 40, y + h / 2);
        }
        line(x + w, y + r, x + w, y + h - r);
        line(x + w - r, y + h, x + r, y + h);
        line(x, y + h - r, x, y + r);
        arc(x + w - r, y + r, r, 270, 0);
        arc(x + w - r, y + h - r, r, 0, 90);
        arc(x + r, y + h - r, r, 90, 180);
        arc(x + r, y + r, r, 180, 270);
        slot(x + w / 2, y + h * 0.72, random.nextInt(20, 40), random.nextInt(8, 14));
        window(x + w / 2 - 25, y + h * 0.2, random.nextInt(40, 60), random.nextInt(20, 40));
        double hole = random.nextInt(5, 12);
        for (double inset : new double[] {22, 42}) {
            circle(x + inset, y + 24, hole);
            circle(x + w - inset, y + 24, hole);
            circle(x + inset, y + h - 24, hole);
            circle(x + w - inset, y + h - 24, hole);
        }
    }

    private void slot(double x, double y, double length, double width) {
        line(x - length / 2, y - width / 2, x + length / 2, y - width / 2);
        line(x + length / 2, y + width / 2, x - length / 2, y + width / 2);
        arc(x + length / 2, y, width / 2, 270, 90);
        arc(x - length / 2, y, width / 2, 90, 270);
    }

    private void window(double x, double y, double w, double h) {
        line(x, y, x + w, y);
        line(x + w, y, x + w, y + h);
        line(x + w, y + h, x, y + h);
        line(x, y + h, x, y);
    }

    private void line(double x0, double y0, double x1, double y1) {
        add("0\nLINE\n8\nCUT\n10\n%.6f\n20\n%.6f\n11\n%.6f\n21\n%.6f\n", x0, y0, x1, y1);
    }

    private void arc(double x, double y, double r, double from, double to) {
        add(
                "0\nARC\n8\nCUT\n10\n%.6f\n20\n%.6f\n40\n%.6f\n50\n%.1f\n51\n%.1f\n",
                x, y, r, from, to);
    }

    private void circle(double x, double y, double diameter) {
        add("0\nCIRCLE\n8\nCUT\n10\n%.6f\n20\n%.6f\n40\n%.6f\n", x, y, diameter / 2);
    }

    private void add(String format, Object... values) {
        entities.add(String.format(Locale.ROOT, format, values));
    }
}
