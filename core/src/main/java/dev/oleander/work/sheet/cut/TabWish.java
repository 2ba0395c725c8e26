package dev.oleander.work.sheet.cut;

import java.util.List;

/**
 * Tabs wanted on a contour; lengths mm.
 *
 * @param count how many are spread evenly
 * @param off stretch over which the process is off: what is left uncut and a kerf
 * @param lifts whether the head lifts over them
 * @param at distances along the drawn contour where others were put by hand
 */
public record TabWish(int count, double off, boolean lifts, List<Double> at) {

    public static final TabWish NONE = new TabWish(0, 0, false, List.of());

    public TabWish {
        at = List.copyOf(at);
    }
}
