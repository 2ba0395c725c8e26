package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.List;

/** One sheet: a box that bodies may fill, less what lies in it that they must not touch. */
final class Room {

    final SheetStock stock;

    /** Direction of its grain, degrees. */
    final double grain;

    final double x0;
    final double y0;
    final double x1;
    final double y1;

    /** Where they are: bays of the outline, holes, locked parts. */
    final List<Turned> obstacles;

    final double[] obstacleX;
    final double[] obstacleY;

    /** mm2 that bodies may fill. */
    final double area;

    private Room(SheetStock stock, Box box, List<Placed> obstacles, double area) {
        this.stock = stock;
        this.grain = stock.grainOrNone();
        this.x0 = box.min().x();
        this.y0 = box.min().y();
        this.x1 = box.max().x();
        this.y1 = box.max().y();
        this.obstacles = obstacles.stream().map(Placed::turned).toList();
        this.obstacleX = obstacles.stream().mapToDouble(p -> p.at().x()).toArray();
        this.obstacleY = obstacles.stream().mapToDouble(p -> p.at().y()).toArray();
        this.area = area;
    }

    /** A body that never moves. */
    record Placed(Turned turned, Point at) {}

    /**
     * @param inset mm between the edge of the sheet and bodies; less than 0 where these may reach
     *     beyond it
     * @param locked bodies of parts that a person has fixed
     */
    static Room of(SheetStock stock, double inset, List<Placed> locked) {
        List<Placed> obstacles = new ArrayList<>(locked);
        double lockedArea = locked.stream().mapToDouble(p -> p.turned.body.area).sum();
        if (stock.isPlain()) {
            Box box = stock.region().box().grown(-inset);
            return new Room(stock, box, obstacles, box.width() * box.height() - lockedArea);
        }
        List<Region> usable = Offsetter.round().offset(stock.region(), -inset);
        if (usable.isEmpty()) {
            Box none = new Box(stock.region().box().centre(), stock.region().box().centre());
            return new Room(stock, none, obstacles, 0);
        }
        Box box = Box.around(usable.stream().map(Region::box).toList());
        Region whole = new Region(Contour.rectangle(box), List.of());
        for (Region bay : Overlay.difference(List.of(whole), usable)) {
            for (Region simple : simple(bay)) {
                obstacles.add(
                        new Placed(new Turned(Body.ofObstacle(simple), 0, false), Point.ORIGIN));
            }
        }
        double area = usable.stream().mapToDouble(Region::area).sum();
        return new Room(stock, box, obstacles, area - lockedArea);
    }

    /** Pieces without openings: what lies round one has no inside that discs could fill. */
    private static List<Region> simple(Region bay) {
        if (bay.openings().isEmpty()) {
            return List.of(bay);
        }
        Box box = bay.box();
        double x = bay.openings().get(0).box().centre().x();
        Box left = new Box(box.min(), new Point(x, box.max().y()));
        Box right = new Box(new Point(x, box.min().y()), box.max());
        List<Region> pieces = new ArrayList<>();
        for (Box half : List.of(left, right)) {
            Region cut = new Region(Contour.rectangle(half), List.of());
            Overlay.intersection(List.of(bay), List.of(cut)).forEach(p -> pieces.addAll(simple(p)));
        }
        return pieces;
    }

    double width() {
        return x1 - x0;
    }

    double height() {
        return y1 - y0;
    }
}
