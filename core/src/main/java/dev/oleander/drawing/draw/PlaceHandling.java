package dev.oleander.drawing.draw;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Each place of a command, an x and the y after it, is where it is put. */
final class PlaceHandling implements Handling {

    /** Digits of mm and degrees that are put. */
    static final int DIGITS = 4;

    private final List<Parameter> parameters;

    PlaceHandling(List<Parameter> parameters) {
        this.parameters = parameters;
    }

    @Override
    public List<Handle> of(Sketch sketch, Args args) {
        List<Handle> all = new ArrayList<>();
        for (int i = 1; i < parameters.size(); i++) {
            if (isPlace(i)) {
                Parameter x = parameters.get(i - 1);
                Point at = args.point(x.name(), parameters.get(i).name());
                all.add(Handle.place(x.name(), "Place", at));
            }
        }
        return all;
    }

    private boolean isPlace(int y) {
        return parameters.get(y).kind() == Parameter.Kind.Y
                && parameters.get(y - 1).kind() == Parameter.Kind.X;
    }

    @Override
    public Map<String, String> moved(Sketch sketch, Args args, String name, Point to) {
        for (int i = 1; i < parameters.size(); i++) {
            if (isPlace(i) && parameters.get(i - 1).name().equals(name)) {
                return Map.of(name, number(to.x()), parameters.get(i).name(), number(to.y()));
            }
        }
        throw new DrawException("There is no handle %s.", name);
    }

    static String number(double value) {
        return Numbers.plain(value, DIGITS);
    }
}
