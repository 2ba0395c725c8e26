package dev.oleander.work.wire.cut;

import dev.oleander.machine.Compensation;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireLead;
import java.util.List;
import java.util.Map;

/**
 * The values with which a stop is cut, and where each comes from.
 *
 * @param passes how many are run
 * @param leadLength mm
 * @param overlap mm
 * @param backOff mm
 * @param hold mm
 * @param holdAt middles of further holds, mm along the drawn contour
 * @param step share of the width of the cut
 * @param sources by name of a value
 */
public record WireSettings(
        WireKind kind,
        WireRow row,
        int passes,
        boolean anticlockwise,
        boolean alternate,
        WireLead lead,
        double leadLength,
        double overlap,
        double backOff,
        SlugHandling slug,
        double hold,
        int holds,
        List<Typed> holdAt,
        HoldStop holdStop,
        boolean reversed,
        boolean offSkims,
        double step,
        Compensation compensation,
        TaperChoice taper,
        Map<String, Source> sources) {

    public WireSettings {
        holdAt = List.copyOf(holdAt);
        sources = Map.copyOf(sources);
    }

    /** Whether a person set a value, for the stop or the job. */
    public boolean isSet(String value) {
        Source source = sources.get(value);
        return source == Source.HERE || source == Source.JOB;
    }

    /** Whether the wire runs to the left of the drawn line when it travels in the first pass. */
    public boolean wireLeft() {
        return kind == WireKind.OPENING ? anticlockwise : !anticlockwise;
    }
}
