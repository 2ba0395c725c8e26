package dev.oleander.drawing.draw;

import dev.oleander.drawing.bridge.Bridge;
import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.drawing.bridge.Bridges;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.stream.Stream;

/**
 * Every bridge is taken by its middle. One that was found and is moved becomes one that somebody
 * put, and none is found where it was.
 */
final class BridgeHandling implements Handling {

    private static final String PUT = "put-";
    private static final String FOUND = "found-";

    /** Directions that are tried for one that is put at a click. */
    private static final int WAYS = 24;

    private final BiFunction<Sketch, Args, Setting> setting;

    /**
     * What bridges are looked for in, and how.
     *
     * @param inside whether what lies within the contours is kept, and not cut away
     */
    record Setting(List<Contour> contours, BridgeWish wish, boolean inside) {

        Bridges.Found found() {
            return inside ? Bridges.bars(contours, wish) : Bridges.of(contours, wish);
        }

        /** Contours of which what lies within an odd number is cut away. */
        List<Contour> cut() {
            return inside ? Bridges.framed(contours) : contours;
        }
    }

    BridgeHandling(BiFunction<Sketch, Args, Setting> setting) {
        this.setting = setting;
    }

    @Override
    public List<Handle> of(Sketch sketch, Args args) {
        Setting in = setting.apply(sketch, args);
        List<Bridge> bridges = in.found().bridges();
        int put = in.wish().placed().size();
        List<Handle> all = new ArrayList<>();
        for (int i = 0; i < bridges.size(); i++) {
            Bridge bridge = bridges.get(i);
            String name = i < put ? PUT + i : FOUND + (i - put);
            String label = "Bridge %d of %d".formatted(i + 1, bridges.size());
            all.add(
                    new Handle(
                            name,
                            label,
                            Handle.Kind.STRIP,
                            bridge.from(),
                            bridge.to(),
                            bridge.width()));
        }
        return all;
    }

    @Override
    public Map<String, String> moved(Sketch sketch, Args args, String name, Point to) {
        Setting in = setting.apply(sketch, args);
        List<BridgeWish.Placed> placed = new ArrayList<>(in.wish().placed());
        if (name.startsWith(PUT)) {
            int index = index(name, PUT, placed.size());
            BridgeWish.Placed before = placed.get(index);
            placed.set(index, new BridgeWish.Placed(to, before.angle(), before.width()));
            return Map.of("placed", HandText.of(placed));
        }
        Bridge bridge = found(in, name);
        Point way = bridge.way();
        double angle = Math.toDegrees(Math.atan2(way.y(), way.x()));
        placed.add(new BridgeWish.Placed(to, angle, bridge.width()));
        return Map.of("placed", HandText.of(placed), "without", without(in, bridge));
    }

    @Override
    public Map<String, String> removed(Sketch sketch, Args args, String name) {
        Setting in = setting.apply(sketch, args);
        if (name.startsWith(PUT)) {
            List<BridgeWish.Placed> placed = new ArrayList<>(in.wish().placed());
            placed.remove(index(name, PUT, placed.size()));
            return Map.of("placed", HandText.of(placed));
        }
        return Map.of("without", without(in, found(in, name)));
    }

    @Override
    public boolean takesMore() {
        return true;
    }

    /** It runs the shortest way from material to material. */
    @Override
    public Map<String, String> added(Sketch sketch, Args args, Point at) {
        Setting in = setting.apply(sketch, args);
        List<BridgeWish.Placed> placed = new ArrayList<>(in.wish().placed());
        placed.add(
                Bridges.shortest(in.cut(), at, in.wish().width(), WAYS)
                        .orElseThrow(
                                () ->
                                        new DrawException(
                                                "No bridge runs from material to material there.")));
        return Map.of("placed", HandText.of(placed));
    }

    private static String without(Setting in, Bridge bridge) {
        Point middle = bridge.from().plus(bridge.to()).times(0.5);
        return HandText.ofPlaces(
                Stream.concat(in.wish().without().stream(), Stream.of(middle)).toList());
    }

    private static Bridge found(Setting in, String name) {
        List<Bridge> bridges = in.found().bridges();
        int put = in.wish().placed().size();
        return bridges.get(put + index(name, FOUND, bridges.size() - put));
    }

    private static int index(String name, String begin, int count) {
        if (name.matches(begin + "\\d{1,6}")) {
            int index = Integer.parseInt(name.substring(begin.length()));
            if (index < count) {
                return index;
            }
        }
        throw new DrawException("There is no bridge %s.", name);
    }
}
