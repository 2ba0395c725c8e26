package dev.oleander.drawing.draw;

import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Bridges that somebody put or left out, as they are typed: a line for each, numbers in it. */
final class HandText {

    /** Lines at most. */
    private static final int MOST = 500;

    private static final double WIDEST = 1000;

    private HandText() {}

    /**
     * {@code x y [angle [width]]}, in mm and degrees; upright and as wide as all others unless it
     * is said.
     */
    static List<BridgeWish.Placed> placed(String text, double width) {
        List<BridgeWish.Placed> all = new ArrayList<>();
        for (double[] n : numbers("placed", text, 2, 4)) {
            double wide = n.length > 3 ? n[3] : width;
            if (!(wide > 0 && wide <= WIDEST)) {
                throw DrawException.about(
                        "placed",
                        "Line %d: a bridge of %s mm; it is more than 0 and at most %s mm wide."
                                .formatted(
                                        all.size() + 1,
                                        Numbers.plain(wide, 3),
                                        Numbers.plain(WIDEST, 0)));
            }
            all.add(new BridgeWish.Placed(new Point(n[0], n[1]), n.length > 2 ? n[2] : 90, wide));
        }
        return all;
    }

    /** {@code x y} */
    static List<Point> places(String text) {
        return numbers("without", text, 2, 2).stream().map(n -> new Point(n[0], n[1])).toList();
    }

    static String of(List<BridgeWish.Placed> placed) {
        return placed.stream()
                .map(
                        p ->
                                "%s %s %s %s"
                                        .formatted(
                                                n(p.at().x()),
                                                n(p.at().y()),
                                                n(p.angle()),
                                                n(p.width())))
                .collect(Collectors.joining("\n"));
    }

    static String ofPlaces(List<Point> places) {
        return places.stream()
                .map(p -> n(p.x()) + " " + n(p.y()))
                .collect(Collectors.joining("\n"));
    }

    private static String n(double value) {
        return PlaceHandling.number(value);
    }

    private static List<double[]> numbers(String parameter, String text, int least, int most) {
        List<double[]> all = new ArrayList<>();
        List<String> lines = text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        Args.require(
                lines.size() <= MOST,
                parameter,
                "%s lines; there are at most %s.",
                lines.size(),
                MOST);
        for (String line : lines) {
            String[] words = line.split("[\\s,;]+");
            if (words.length < least || words.length > most) {
                throw DrawException.about(
                        parameter,
                        "Line %d, \"%s\", has %d numbers; it has %s."
                                .formatted(
                                        all.size() + 1,
                                        line,
                                        words.length,
                                        least == most ? "" + least : least + " to " + most));
            }
            double[] of = new double[words.length];
            for (int i = 0; i < of.length; i++) {
                of[i] = number(parameter, all.size() + 1, words[i]);
            }
            all.add(of);
        }
        return all;
    }

    private static double number(String parameter, int line, String word) {
        try {
            double value = Double.parseDouble(word);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below, as what is not finite
        }
        throw DrawException.about(parameter, "Line %d: \"%s\" is no number.".formatted(line, word));
    }
}
