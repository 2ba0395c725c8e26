package dev.oleander.nesting.choice;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.flat.Vertices;
import dev.oleander.nesting.NestException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A closed contour as it is written down.
 *
 * @param numbers x and y (mm) and bulge of each vertex by turns
 */
public record Loop(List<Double> numbers) {

    private static final int STRIDE = 3;

    public Loop {
        numbers = List.copyOf(numbers);
    }

    public static Loop of(Contour contour) {
        Vertices vertices = contour.vertices();
        List<Double> numbers = new ArrayList<>();
        for (int i = 0; i < vertices.size(); i++) {
            numbers.add(vertices.x(i));
            numbers.add(vertices.y(i));
            numbers.add(vertices.bulge(i));
        }
        return new Loop(numbers);
    }

    /**
     * The contour, however its vertices run.
     *
     * @param what it is, for the sentence
     * @throws NestException when there are fewer than two different vertices
     */
    public Contour contour(String what) {
        double[] kept = new double[numbers.size()];
        int size = 0;
        for (int i = 0; i + 2 < numbers.size(); i += STRIDE) {
            double x = numbers.get(i);
            double y = numbers.get(i + 1);
            // A vertex given twice makes an edge without length: the second one counts.
            size -= size > 0 && x == kept[size - STRIDE] && y == kept[size - 2] ? STRIDE : 0;
            kept[size++] = x;
            kept[size++] = y;
            kept[size++] = numbers.get(i + 2);
        }
        boolean closedTwice =
                size > STRIDE && kept[0] == kept[size - STRIDE] && kept[1] == kept[size - 2];
        size -= closedTwice ? STRIDE : 0;
        if (size < 2 * STRIDE) {
            throw new NestException(
                    "The %s has a loop of %d different vertices; 2 are needed."
                            .formatted(what, size / STRIDE));
        }
        double[] own = Arrays.copyOf(kept, size);
        return Contour.of(Vertices.of(own, true));
    }
}
