package dev.oleander.dialect;

import com.samskivert.mustache.Template;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Holes as cycles of a dialect: one block each, where reading it gives the same moves. */
final class HoleWords {

    /** For distances between heights: their last steps add up from peck to peck. */
    private static final NumberForm FINE = NumberForm.plain(4, false, false);

    private final Dialect dialect;
    private final Template drill;
    private final Template peck;

    HoleWords(Dialect dialect) {
        this.dialect = dialect;
        Dialect.Cycles cycles = dialect.cycles();
        this.drill = cycles == null ? null : EventWords.compiled("cycles.drill", cycles.drill());
        this.peck =
                cycles == null || !cycles.hasPecks()
                        ? null
                        : EventWords.compiled("cycles.peck", cycles.peck());
    }

    /**
     * The hole that begins at an item, if the dialect has a cycle for it.
     *
     * @param from where the tool is
     * @param high its height, mm
     */
    Optional<Drilled> at(List<Item> items, int first, Point from, double high) {
        return drill == null
                ? Optional.empty()
                : Drilled.at(items, first, from, high)
                        .filter(hole -> hole.isInOneGo() || isEven(hole));
    }

    /** Whether what the cycle says comes as near to the heights as these can be written. */
    private boolean isEven(Drilled hole) {
        if (peck == null || Math.abs(hole.again() - dialect.cycles().again()) > 1e-9) {
            return false;
        }
        NumberForm coordinate = dialect.words().coordinate();
        double low = read(coordinate, hole.low());
        List<Double> said =
                Drilled.pecks(
                        low,
                        read(form("first"), first(hole)),
                        read(form("peck"), peck(hole)),
                        read(coordinate, hole.deep()));
        if (said.size() != hole.pecks().size()) {
            return false;
        }
        for (int i = 0; i < said.size(); i++) {
            if (Math.abs(said.get(i) - hole.pecks().get(i)) > coordinate.step()) {
                return false;
            }
        }
        return true;
    }

    private static double read(NumberForm form, double value) {
        return Double.parseDouble(form.write(value));
    }

    private static double first(Drilled hole) {
        return hole.low() - hole.pecks().get(0);
    }

    private static double peck(Drilled hole) {
        return hole.pecks().get(0) - hole.pecks().get(1);
    }

    private NumberForm form(String name) {
        return dialect.values().getOrDefault(name, FINE);
    }

    String block(Drilled hole) {
        NumberForm coordinate = dialect.words().coordinate();
        Map<String, String> values = new HashMap<>();
        values.put("x", coordinate.write(hole.at().x()));
        values.put("y", coordinate.write(hole.at().y()));
        values.put("z", coordinate.write(hole.deep()));
        values.put("low", coordinate.write(hole.low()));
        values.put("feed", dialect.words().feed().write(hole.feed()));
        if (hole.isInOneGo()) {
            return EventWords.rendered("cycles.drill", drill, values);
        }
        values.put("first", form("first").write(first(hole)));
        values.put("peck", form("peck").write(peck(hole)));
        return EventWords.rendered("cycles.peck", peck, values);
    }
}
