package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import java.util.List;

/** Line work in order: what it became, and what was found on the way. */
public record Mended(List<Joined> chains, List<Fault> faults) {

    public Mended {
        chains = List.copyOf(chains);
        faults = List.copyOf(faults);
    }

    /**
     * An open path or a contour.
     *
     * @param first the earliest entity of the drawing that takes part in it
     * @param sources keys of all entities that do
     */
    public record Joined(Chain chain, Entity first, List<String> sources) {

        static Joined of(Chain chain, Entity only) {
            return new Joined(chain, only, List.of(only.key()));
        }

        Joined as(Chain other) {
            return new Joined(other, first, sources);
        }
    }
}
