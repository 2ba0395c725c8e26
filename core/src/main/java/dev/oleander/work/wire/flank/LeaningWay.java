package dev.oleander.work.wire.flank;

import dev.oleander.work.wire.cut.WireCut;
import java.util.List;

/** The way of a wire along upright or leaning flanks; with a land only the first pass leans. */
public final class LeaningWay implements ProfileWork.WaySource {

    private final Flanks upright;
    private final Flanks leaning;
    private final boolean relief;

    /**
     * @param leaning null when nothing leans
     * @param relief whether only the first pass leans
     */
    public LeaningWay(Flanks upright, Flanks leaning, boolean relief) {
        this.upright = upright;
        this.leaning = leaning;
        this.relief = relief;
    }

    /** The flanks that the finished work has, as far as they lean. */
    Flanks shown() {
        return leaning == null ? upright : leaning;
    }

    private Flanks of(int pass) {
        return leaning != null && (!relief || pass == 1) ? leaning : upright;
    }

    @Override
    public WireCut.Lean lean(int element, int pass) {
        return of(pass).lean(element);
    }

    @Override
    public double plane(int pass) {
        return of(pass).plane();
    }

    @Override
    public List<Flanks.Way> way(double offset, int pass) {
        return of(pass).way(offset, pass);
    }
}
