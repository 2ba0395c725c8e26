package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.List;

/**
 * What lies on a sheet as the search sees it, for whoever wants to tell at once where a part has
 * room: bodies that do not overlap and lie within the room keep all distances.
 *
 * @param room that bodies may fill
 * @param fixed bodies that no part may overlap: bays and holes of the sheet
 * @param parts bodies of the parts, in the order of the sheet
 */
public record SheetBodies(Box room, List<List<double[]>> fixed, List<List<double[]>> parts) {

    /** mm to which corners are rounded: what is told is the first look, not the judgement. */
    private static final double ROUNDED = 1e-4;

    /**
     * @return bodies as closed loops of corners, x and y by turns, mm on the sheet; openings in
     *     which parts may lie are loops of their own
     * @throws dev.oleander.nesting.NestException when the sheet or a line is not of the task
     */
    public static SheetBodies of(NestTask task, NestedSheet sheet) {
        SheetStock stock = task.sheet(sheet);
        Model model = new Model(ByHand.only(task, sheet, ""));
        Room room = model.room(stock);
        List<List<double[]>> fixed = new ArrayList<>();
        for (int k = 0; k < room.obstacles.size(); k++) {
            Point at = new Point(room.obstacleX[k], room.obstacleY[k]);
            fixed.add(loops(room.obstacles.get(k), at));
        }
        List<List<double[]>> parts =
                sheet.placements().stream().map(p -> loops(turned(model, p), p.at())).toList();
        Box box = new Box(new Point(room.x0, room.y0), new Point(room.x1, room.y1));
        return new SheetBodies(box, List.copyOf(fixed), parts);
    }

    private static Turned turned(Model model, NestPlacement p) {
        return new Turned(model.kind(p.line()).body, p.angle(), p.mirrored());
    }

    private static List<double[]> loops(Turned way, Point at) {
        List<double[]> all = new ArrayList<>();
        Body body = way.body;
        int groups = body.groupFrom.length;
        for (int g = 0; g < groups; g++) {
            int from = body.groupFrom[g];
            while (g + 1 < groups && body.groupFrom[g + 1] == body.groupTo[g]) {
                g++;
            }
            all.add(loop(way, at, from, body.groupTo[g]));
        }
        return all;
    }

    private static double[] loop(Turned way, Point at, int from, int to) {
        Turned.Outline outline = way.outline();
        double[] corners = new double[2 * (to - from)];
        for (int i = from; i < to; i++) {
            corners[2 * (i - from)] = rounded(outline.xs[i] + at.x());
            corners[2 * (i - from) + 1] = rounded(outline.ys[i] + at.y());
        }
        return corners;
    }

    private static double rounded(double mm) {
        return Math.rint(mm / ROUNDED) * ROUNDED;
    }
}
