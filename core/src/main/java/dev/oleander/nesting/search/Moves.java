package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.List;

/**
 * Small moves of some items of a scene as variables of a linear program: shifts in mm, and turns in
 * mm of the part's outline where it may be turned.
 */
final class Moves {

    private final Scene scene;
    private final List<Integer> items = new ArrayList<>();

    /** By number: the first of its variables. */
    private final int[] first;

    private final double[] middleX;
    private final double[] middleY;
    private final int variables;

    /**
     * @param room whose items move
     */
    Moves(Scene scene, int room) {
        this.scene = scene;
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == room) {
                items.add(i);
            }
        }
        this.first = new int[items.size()];
        this.middleX = new double[items.size()];
        this.middleY = new double[items.size()];
        int next = 0;
        for (int k = 0; k < items.size(); k++) {
            int i = items.get(k);
            first[k] = next;
            next += turns(k) ? 3 : 2;
            var middle = Kind.middle(scene.way[i]);
            middleX[k] = scene.x[i] + middle.x();
            middleY[k] = scene.y[i] + middle.y();
        }
        this.variables = next;
    }

    int size() {
        return items.size();
    }

    int variables() {
        return variables;
    }

    /**
     * Its variables are this one along x, the next along y, and the one after that where it turns.
     */
    int first(int k) {
        return first[k];
    }

    boolean turns(int k) {
        return scene.items[items.get(k)].anyTurn();
    }

    Contacts.Laid laid(int k) {
        int i = items.get(k);
        return new Contacts.Laid(k, scene.way[i], scene.x[i], scene.y[i]);
    }

    /** Half of the greatest distance of two corners, mm: what a turn is measured at. */
    private double arm(int k) {
        return scene.items[items.get(k)].body.diameter / 2;
    }

    /**
     * Adds to a row how far a point of an item moves in a direction.
     *
     * @param k number of the item; less than 0: it does not move
     */
    void add(LeastCost row, int k, double px, double py, double dx, double dy) {
        if (k < 0) {
            return;
        }
        row.add(first[k], dx);
        row.add(first[k] + 1, dy);
        if (turns(k)) {
            double turn = dy * (px - middleX[k]) - dx * (py - middleY[k]);
            row.add(first[k] + 2, turn / arm(k));
        }
    }

    /** Lays every item where the variables say. */
    void make(double[] by, int room) {
        for (int k = 0; k < items.size(); k++) {
            int i = items.get(k);
            Turned way = scene.way[i];
            double px = scene.x[i] + by[first[k]];
            double py = scene.y[i] + by[first[k] + 1];
            if (turns(k) && by[first[k] + 2] != 0) {
                double degrees = StrictMath.toDegrees(by[first[k] + 2] / arm(k));
                Turned turned = new Turned(way.body, way.degrees + degrees, way.mirrored);
                var before = Kind.middle(way);
                var after = Kind.middle(turned);
                px += before.x() - after.x();
                py += before.y() - after.y();
                way = turned;
            }
            scene.putWithin(i, way, px, py, room);
        }
    }
}
