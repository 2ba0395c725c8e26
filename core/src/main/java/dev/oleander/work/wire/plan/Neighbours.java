package dev.oleander.work.wire.plan;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.work.wire.plan.SubjectPlanner.Task;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/** What lies beside what in the pieces of work on the table. Serves many threads. */
final class Neighbours {

    private final Map<Integer, Piece> pieces = new HashMap<>();
    private final Map<Task, Side> sides = new IdentityHashMap<>();

    Neighbours(List<Task> all) {
        Map<Integer, List<Task>> together = new HashMap<>();
        for (Task one : all) {
            together.computeIfAbsent(one.copy().base(), base -> new ArrayList<>()).add(one);
        }
        together.forEach((base, tasks) -> pieces.put(base, new Piece(tasks)));
        pieces.values().forEach(piece -> turned(piece.tasks()));
    }

    /** All that is cut in one piece of work. */
    private record Piece(List<Task> tasks, Surroundings closed, SegmentIndex<Point> starts) {

        Piece(List<Task> tasks) {
            this(
                    tasks,
                    new Surroundings(
                            tasks.stream()
                                    .filter(t -> t.feature().isClosed())
                                    .map(Neighbours::placed)
                                    .toList()),
                    SegmentIndex.ofPoints(
                            tasks.stream()
                                    .map(t -> t.placed().apply(t.feature().chain().start()))
                                    .toList()));
        }
    }

    /** What a piece of work shows when it is turned, and where in it a task is. */
    private record Side(Surroundings all, int own) {}

    private void turned(List<Task> tasks) {
        Map<Double, List<Task>> byTurn = new HashMap<>();
        for (Task task : tasks) {
            byTurn.computeIfAbsent(task.copy().turn(), t -> new ArrayList<>()).add(task);
        }
        for (List<Task> shown : byTurn.values()) {
            Surroundings all = new Surroundings(shown.stream().map(Neighbours::placed).toList());
            for (int i = 0; i < shown.size(); i++) {
                sides.put(shown.get(i), new Side(all, i));
            }
        }
    }

    private static Chain placed(Task task) {
        return task.feature().chain().transformed(task.placed());
    }

    /** Distance of a point from the closed profiles of a piece of work, whatever its turn, mm. */
    double clear(Task task, Point p) {
        return pieces.get(task.copy().base()).closed().distance(p);
    }

    /** Distances from everything else in a piece of work, turned as it is for a task, mm. */
    ToDoubleFunction<Point> others(Task task) {
        Side side = sides.get(task);
        return p -> side.all().distance(p, side.own());
    }

    /** Ids of what lies in a piece that comes free. */
    List<String> inside(Task task, Contour contour) {
        Piece piece = pieces.get(task.copy().base());
        List<String> inside = new ArrayList<>();
        Box box = contour.box();
        for (int i : piece.starts().positions(box)) {
            Task other = piece.tasks().get(i);
            if (!other.equals(task) && contains(contour, other, piece.starts().get(i))) {
                inside.add(other.id());
            }
        }
        return inside;
    }

    /**
     * What is as large or larger is not in it, though copies that lie too close may overlap, and
     * those that a rotary axis turns to lie where the drawn one does.
     */
    private static boolean contains(Contour contour, Task other, Point start) {
        boolean smaller =
                !(other.feature().chain() instanceof Contour c) || c.area() < contour.area();
        return smaller && contour.contains(start);
    }
}
