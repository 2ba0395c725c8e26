package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/** Transform lists of attributes (SVG 1.1, 7.6). */
final class Transforms {

    private Transforms() {}

    /**
     * @throws UnreadableException when it is not a list of transforms
     */
    static Transform parse(String text) {
        Scanner scanner = new Scanner(text, "transform");
        Transform all = Transform.IDENTITY;
        while (scanner.hasMore()) {
            String name = scanner.until('(');
            List<Double> v = new ArrayList<>();
            while (scanner.isAtNumber()) {
                v.add(scanner.number());
            }
            if (scanner.next() != ')') {
                throw scanner.broken();
            }
            all = of(name, v, scanner).then(all);
        }
        return all;
    }

    private static Transform of(String name, List<Double> v, Scanner scanner) {
        int n = v.size();
        if (name.equals("matrix") && n == 6) {
            return new Transform(v.get(0), v.get(1), v.get(2), v.get(3), v.get(4), v.get(5));
        }
        if (name.equals("translate") && (n == 1 || n == 2)) {
            return Transform.translation(new Point(v.get(0), n == 2 ? v.get(1) : 0));
        }
        if (name.equals("scale") && (n == 1 || n == 2)) {
            return new Transform(v.get(0), 0, 0, v.get(n - 1), 0, 0);
        }
        if (name.equals("rotate") && (n == 1 || n == 3)) {
            Point about = n == 3 ? new Point(v.get(1), v.get(2)) : Point.ORIGIN;
            return Transform.translation(about.times(-1))
                    .then(Transform.rotation(Math.toRadians(v.get(0))))
                    .then(Transform.translation(about));
        }
        if (name.equals("skewX") && n == 1) {
            return new Transform(1, 0, Math.tan(Math.toRadians(v.get(0))), 1, 0, 0);
        }
        if (name.equals("skewY") && n == 1) {
            return new Transform(1, Math.tan(Math.toRadians(v.get(0))), 0, 1, 0, 0);
        }
        throw scanner.broken();
    }
}
