package dev.oleander.work.sheet.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.Choice;
import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.function.Consumer;

/**
 * What a person set for a stop; null where nothing was set.
 *
 * @param start distance along the drawn contour from its first point, mm
 * @param overRun mm past the closing point
 * @param quality of the cut book's row
 * @param corners how the head goes round sharp outer corners
 * @param passes how often the contour is cut, for thick soft stock
 * @param film whether a light pass burns through the protective film first
 * @param compensation who moves the path off the drawn line
 */
public record StopChoice(
        Side side,
        LeadChoice leadIn,
        LeadChoice leadOut,
        Typed start,
        Typed overRun,
        String quality,
        TabChoice tabs,
        CornerForm corners,
        Typed passes,
        Boolean film,
        Compensation compensation)
        implements Choice<StopChoice> {

    public static final StopChoice NOTHING =
            new StopChoice(
                    null,
                    LeadChoice.NOTHING,
                    LeadChoice.NOTHING,
                    null,
                    null,
                    null,
                    TabChoice.NOTHING,
                    null,
                    null,
                    null,
                    null);

    public StopChoice {
        leadIn = leadIn == null ? LeadChoice.NOTHING : leadIn;
        leadOut = leadOut == null ? LeadChoice.NOTHING : leadOut;
        tabs = tabs == null ? TabChoice.NOTHING : tabs;
    }

    @Override
    public boolean isNothing() {
        return equals(NOTHING);
    }

    @Override
    public StopChoice over(StopChoice other) {
        return new StopChoice(
                or(side, other.side),
                leadIn.over(other.leadIn),
                leadOut.over(other.leadOut),
                or(start, other.start),
                or(overRun, other.overRun),
                or(quality, other.quality),
                tabs.over(other.tabs),
                or(corners, other.corners),
                or(passes, other.passes),
                or(film, other.film),
                or(compensation, other.compensation));
    }

    private static <T> T or(T value, T otherwise) {
        return value != null ? value : otherwise;
    }

    /** What decides the path itself: without leads, start, over-run and tabs. */
    public StopChoice ofPath() {
        return NOTHING.with(
                v -> {
                    v.side = side;
                    v.quality = quality;
                    v.corners = corners;
                    v.passes = passes;
                    v.film = film;
                    v.compensation = compensation;
                });
    }

    @Override
    public StopChoice asRecipe() {
        return with(
                v -> {
                    v.side = null;
                    v.start = null;
                    v.tabs = tabs.withAt(List.of());
                });
    }

    @Override
    public StopChoice ofPlace() {
        return NOTHING.with(
                v -> {
                    v.side = side;
                    v.start = start;
                    v.tabs = TabChoice.NOTHING.withAt(tabs.at());
                });
    }

    @Override
    public StopChoice carried(String key, Carrying to) {
        return with(
                v -> {
                    v.start = to.along(key, start);
                    v.tabs = tabs.withAt(to.along(key, tabs.at()));
                });
    }

    public StopChoice withSide(Side value) {
        return with(v -> v.side = value);
    }

    public StopChoice withLeadIn(LeadChoice value) {
        return with(v -> v.leadIn = value);
    }

    public StopChoice withLeadOut(LeadChoice value) {
        return with(v -> v.leadOut = value);
    }

    public StopChoice withStart(Typed value) {
        return with(v -> v.start = value);
    }

    public StopChoice withOverRun(Typed value) {
        return with(v -> v.overRun = value);
    }

    public StopChoice withQuality(String value) {
        return with(v -> v.quality = value);
    }

    public StopChoice withTabs(TabChoice value) {
        return with(v -> v.tabs = value);
    }

    public StopChoice withCorners(CornerForm value) {
        return with(v -> v.corners = value);
    }

    public StopChoice withPasses(Typed value) {
        return with(v -> v.passes = value);
    }

    public StopChoice withFilm(Boolean value) {
        return with(v -> v.film = value);
    }

    public StopChoice withCompensation(Compensation value) {
        return with(v -> v.compensation = value);
    }

    private StopChoice with(Consumer<Values> change) {
        Values values = new Values(this);
        change.accept(values);
        return values.choice();
    }

    /** All values while one of them changes. */
    private static final class Values {
        private Side side;
        private LeadChoice leadIn;
        private LeadChoice leadOut;
        private Typed start;
        private Typed overRun;
        private String quality;
        private TabChoice tabs;
        private CornerForm corners;
        private Typed passes;
        private Boolean film;
        private Compensation compensation;

        Values(StopChoice of) {
            side = of.side;
            leadIn = of.leadIn;
            leadOut = of.leadOut;
            start = of.start;
            overRun = of.overRun;
            quality = of.quality;
            tabs = of.tabs;
            corners = of.corners;
            passes = of.passes;
            film = of.film;
            compensation = of.compensation;
        }

        StopChoice choice() {
            return new StopChoice(
                    side,
                    leadIn,
                    leadOut,
                    start,
                    overRun,
                    quality,
                    tabs,
                    corners,
                    passes,
                    film,
                    compensation);
        }
    }
}
