package dev.oleander.nesting.search;

import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestRules;
import java.util.List;

/**
 * Sheets that are used together; parts reach the front of the last one.
 *
 * @param rooms the one with the front last
 * @param lockedOf what is fixed on each
 * @param area mm2 of all rooms
 * @param price of all sheets
 */
record SheetSet(List<Room> rooms, List<List<NestPlacement>> lockedOf, double area, double price) {

    static SheetSet of(List<Room> rooms, List<List<NestPlacement>> locked) {
        double area = rooms.stream().mapToDouble(r -> r.area).sum();
        double price = rooms.stream().mapToDouble(r -> r.stock.price()).sum();
        return new SheetSet(List.copyOf(rooms), List.copyOf(locked), area, price);
    }

    List<NestPlacement> locked(int r) {
        return lockedOf.get(r);
    }

    /** The room whose front moves. */
    int front() {
        return rooms.size() - 1;
    }

    Room last() {
        return rooms.get(front());
    }

    /** Where the front would stand if nothing lay on the last sheet, mm. */
    double origin() {
        return alongX() ? last().x0 : last().y0;
    }

    /** How far the front can move, mm. */
    double length() {
        return alongX() ? last().width() : last().height();
    }

    double across() {
        return alongX() ? last().height() : last().width();
    }

    /** Whether the front moves along x: parts are packed along the longer side. */
    boolean alongX() {
        return last().width() >= last().height();
    }

    /**
     * What it would cost if parts could be packed so closely.
     *
     * @param needed mm2 of all bodies
     * @param efficiency share of the room that bodies take
     * @return infinite when they have no room then
     */
    double expected(double needed, double efficiency, NestRules rules) {
        double rest = area - needed / efficiency;
        if (rest < 0) {
            return Double.POSITIVE_INFINITY;
        }
        double cost = price;
        // The sheet that is worth most by area keeps the rest, as its room is the last one.
        for (int r = rooms.size() - 1; r >= 0 && rest > 0; r--) {
            Room room = rooms.get(r);
            double part = Math.min(rest, room.area);
            boolean alongX = room.width() >= room.height();
            double length = part / (alongX ? room.height() : room.width());
            double right = room.x1 - (alongX ? length : 0);
            double top = room.y1 - (alongX ? 0 : length);
            cost += Worth.costOf(room.stock, right, top, rules) - room.stock.price();
            rest -= part;
        }
        return cost;
    }
}
