package dev.oleander.work.sheet.choice;

import dev.oleander.quantity.Typed;
import java.util.List;

/**
 * What a person set of the tabs of a contour; null where nothing was set. Lengths mm.
 *
 * @param count how many; 0 for none
 * @param spacing distance along the contour between them; where a count is set it does not matter
 * @param length left uncut at each
 * @param at distances along the drawn contour where tabs were put by hand, besides the others
 */
public record TabChoice(Typed count, Typed spacing, Typed length, List<Typed> at) {

    public static final TabChoice NOTHING = new TabChoice(null, null, null, List.of());

    public TabChoice {
        at = at == null ? List.of() : List.copyOf(at);
    }

    public boolean isNothing() {
        return equals(NOTHING);
    }

    /** Values set here, before those of {@code other}. */
    TabChoice over(TabChoice other) {
        boolean placed = count != null || spacing != null || !at.isEmpty();
        return new TabChoice(
                placed ? count : other.count,
                placed ? spacing : other.spacing,
                length != null ? length : other.length,
                placed ? at : other.at);
    }

    public TabChoice withCount(Typed value) {
        return new TabChoice(value, null, length, at);
    }

    public TabChoice withSpacing(Typed value) {
        return new TabChoice(null, value, length, at);
    }

    public TabChoice withLength(Typed value) {
        return new TabChoice(count, spacing, value, at);
    }

    public TabChoice withAt(List<Typed> places) {
        return new TabChoice(count, spacing, length, places);
    }
}
