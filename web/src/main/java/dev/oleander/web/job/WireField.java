package dev.oleander.web.job;

import dev.oleander.machine.Compensation;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import dev.oleander.web.job.StopField.Entry;
import dev.oleander.work.wire.plan.CornerTaper;
import dev.oleander.work.wire.plan.EntryChoice;
import dev.oleander.work.wire.plan.HoldStop;
import dev.oleander.work.wire.plan.Matching;
import dev.oleander.work.wire.plan.PassChoice;
import dev.oleander.work.wire.plan.RepeatChoice;
import dev.oleander.work.wire.plan.SlugChoice;
import dev.oleander.work.wire.plan.SlugHandling;
import dev.oleander.work.wire.plan.TaperChoice;
import dev.oleander.work.wire.plan.UpperChoice;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireLead;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;

/**
 * A value of a stop of a wire machine that people set, with its limits. Lengths mm, angles degrees.
 */
public enum WireField implements EditField {
    FINISH("finish", "finish", passes((c, e) -> c.withFinish(e.text()))),
    PASSES("passes", "number of passes", passes((c, e) -> c.withCount(e.whole("Passes", 1, 9)))),
    ALTERNATE("alternate", "direction of skims", passes((c, e) -> c.withAlternate(yes(e)))),
    COMPENSATION(
            "compensation",
            "compensation",
            passes((c, e) -> c.withCompensation(word(Compensation.class, e)))),
    HOLE("hole", "start hole", entry((c, e) -> c.withHole(e.place()))),
    START(
            "start",
            "start of the profile",
            entry((c, e) -> c.withStart(e.number("The start", 0, 1e6)))),
    DIRECTION("direction", "direction", entry((c, e) -> c.withAnticlockwise(anticlockwise(e)))),
    LEAD("lead", "form of the lead", entry((c, e) -> c.withLead(word(WireLead.class, e)))),
    LEAD_LENGTH(
            "leadLength",
            "length of the lead",
            entry((c, e) -> c.withLeadLength(e.number("The lead", 0.1, 100)))),
    OVERLAP("overlap", "overlap", entry((c, e) -> c.withOverlap(e.number("The overlap", 0, 50)))),
    BACK_OFF(
            "backOff",
            "way off between passes",
            entry((c, e) -> c.withBackOff(e.number("The way off", 0.01, 20)))),
    SLUG(
            "slug",
            "handling of the slug",
            slug((c, e) -> c.withHandling(word(SlugHandling.class, e)))),
    HOLD("hold", "width of the hold", slug((c, e) -> c.withHold(e.number("The hold", 0.1, 500)))),
    HOLDS("holds", "number of holds", slug((c, e) -> c.withCount(e.whole("Holds", 1, 20)))),
    HOLD_AT("holdAt", "places of holds", slug(WireField::holds)),
    HOLD_STOP(
            "holdStop",
            "stop before the cut-off",
            slug((c, e) -> c.withStop(word(HoldStop.class, e)))),
    REVERSED("reversed", "direction of the cut-off", slug((c, e) -> c.withReversed(yes(e)))),
    OFF_SKIMS("offSkims", "skims of the cut-off", slug((c, e) -> c.withOffSkims(yes(e)))),
    STEP("step", "step of the rings", slug((c, e) -> c.withStep(e.number("The step", 0.1, 0.5)))),
    ANGLE("angle", "taper", taper((c, e) -> c.withAngle(angle(e)))),
    CORNERS(
            "corners",
            "corners of the taper",
            taper((c, e) -> c.withCorners(word(CornerTaper.class, e)))),
    LAND(
            "land",
            "height of the land",
            taper((c, e) -> c.withLand(e.number("The land", 0.01, 400)))),
    ELEMENTS("elements", "angles of elements", taper(WireField::elements)),
    CORNER_OF("cornerOf", "single corners", taper(WireField::cornersOf)),
    UPPER("upper", "upper contour", (c, e) -> c.withUpper(upper(c, e))),
    MATCHING(
            "matching",
            "matching of the contours",
            above((u, e) -> u.withMatching(word(Matching.class, e)))),
    LINES("lines", "lines between the contours", above(WireField::lines)),
    UPPER_START(
            "upperStart",
            "start of the upper contour",
            above((u, e) -> u.withStart(e.number("The start", 0, 1e6)))),
    COLUMNS("columns", "columns of copies", repeat((r, e) -> r.withColumns(copies("Columns", e)))),
    ROWS("rows", "rows of copies", repeat((r, e) -> r.withRows(copies("Rows", e)))),
    PITCH_X("pitchX", "pitch of columns", repeat((r, e) -> r.withPitchX(pitch(e)))),
    PITCH_Y("pitchY", "pitch of rows", repeat((r, e) -> r.withPitchY(pitch(e)))),
    ROUND_COUNT("roundCount", "copies round a centre", repeat(WireField::roundCount)),
    ROUND_ANGLE(
            "roundAngle",
            "angle between copies",
            repeat((r, e) -> r.withAngle(e.number("The angle", -360, 360)))),
    ROUND_CENTRE("roundCentre", "centre of the copies", repeat((r, e) -> r.withCentre(e.place()))),
    ROUND_INDEXED(
            "roundIndexed", "turning by a rotary axis", repeat((r, e) -> r.withIndexed(yes(e))));

    private final String word;
    private final String label;
    private final BiFunction<WireChoice, Entry, WireChoice> setter;

    WireField(String word, String label, BiFunction<WireChoice, Entry, WireChoice> setter) {
        this.word = word;
        this.label = label;
        this.setter = setter;
    }

    @Override
    public String word() {
        return word;
    }

    @Override
    public String label() {
        return label;
    }

    public static Optional<WireField> ofWord(String word) {
        return EditField.ofWord(values(), word);
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws RefusedEditException when it is none of the words there are
     */
    WireChoice set(WireChoice choice, Entry entry) {
        return setter.apply(choice, entry);
    }

    private static BiFunction<WireChoice, Entry, WireChoice> entry(
            BiFunction<EntryChoice, Entry, EntryChoice> change) {
        return (c, e) -> c.withEntry(change.apply(c.entry(), e));
    }

    private static BiFunction<WireChoice, Entry, WireChoice> passes(
            BiFunction<PassChoice, Entry, PassChoice> change) {
        return (c, e) -> c.withPasses(change.apply(c.passes(), e));
    }

    private static BiFunction<WireChoice, Entry, WireChoice> slug(
            BiFunction<SlugChoice, Entry, SlugChoice> change) {
        return (c, e) -> c.withSlug(change.apply(c.slug(), e));
    }

    private static BiFunction<WireChoice, Entry, WireChoice> taper(
            BiFunction<TaperChoice, Entry, TaperChoice> change) {
        return (c, e) -> c.withTaper(change.apply(c.taper(), e));
    }

    private static BiFunction<WireChoice, Entry, WireChoice> above(
            BiFunction<UpperChoice, Entry, UpperChoice> change) {
        return (c, e) -> {
            if (c.upper() == null) {
                throw new RefusedEditException("Choose an upper contour first.");
            }
            return c.withUpper(change.apply(c.upper(), e));
        };
    }

    private static BiFunction<WireChoice, Entry, WireChoice> repeat(
            BiFunction<RepeatChoice, Entry, RepeatChoice> change) {
        return (c, e) -> c.withRepeat(change.apply(c.repeat(), e));
    }

    /** Whether it says how a contour is repeated, which one of its copies cannot. */
    boolean isOfAllCopies() {
        return compareTo(COLUMNS) >= 0;
    }

    private static Typed copies(String what, Entry entry) {
        return entry.whole(what, 1, 100);
    }

    private static Typed pitch(Entry entry) {
        return entry.number("The pitch", -10_000, 10_000);
    }

    /** Without a count what else was said of the circle is forgotten. */
    private static RepeatChoice roundCount(RepeatChoice repeat, Entry entry) {
        Typed count = entry.whole("The number of copies", 1, 360);
        RepeatChoice changed = repeat.withCount(count);
        return count == null ? changed.withAngle(null).withCentre(null).withIndexed(null) : changed;
    }

    private static <E extends Enum<E> & Worded> E word(Class<E> all, Entry entry) {
        if (entry.text() == null) {
            return null;
        }
        return Worded.of(all, entry.text())
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is none of the words there are."
                                                .formatted(entry.text())));
    }

    private static Boolean yes(Entry entry) {
        return entry.text() == null ? null : StopField.yes(entry.text());
    }

    private static Boolean anticlockwise(Entry entry) {
        if (entry.text() == null) {
            return null;
        }
        return switch (entry.text()) {
            case "anticlockwise", "ccw" -> true;
            case "clockwise", "cw" -> false;
            default ->
                    throw new RefusedEditException(
                            "\"%s\" is no direction: clockwise or anticlockwise."
                                    .formatted(entry.text()));
        };
    }

    private static Typed angle(Entry entry) {
        return entry.number("The angle", -45, 45);
    }

    /** Places between blanks; with a plus before it one more, with a minus the nearest one less. */
    private static SlugChoice holds(SlugChoice slug, Entry entry) {
        if (entry.text() == null) {
            return slug.withAt(null);
        }
        String text = entry.text().strip();
        if (!text.startsWith("+")) {
            return slug.withAt(entry.places("A hold's place"));
        }
        List<Typed> all = new ArrayList<>(slug.at() == null ? List.of() : slug.at());
        all.addAll(new Entry(text.substring(1), entry.names()).places("A hold's place"));
        return slug.withAt(all).withHandling(SlugHandling.HOLDS);
    }

    /** With a plus before it what is said comes to what was said before. */
    private static boolean adds(Entry entry) {
        return entry.text() != null && entry.text().strip().startsWith("+");
    }

    /** Pairs such as 3: 1.5 between semicolons; elements count from 1. */
    private static TaperChoice elements(TaperChoice taper, Entry entry) {
        Map<Integer, Typed> angles = new TreeMap<>(adds(entry) ? taper.elements() : Map.of());
        for (String pair : pairs(entry)) {
            String[] sides = pair.split(":", 2);
            if (sides.length < 2) {
                throw new RefusedEditException(
                        "\"%s\" is not number: angle, as in 3: 1.5.".formatted(pair.strip()));
            }
            angles.put(element(sides[0]), angle(new Entry(sides[1].strip(), entry.names())));
        }
        return new TaperChoice(
                taper.angle(), angles, taper.corners(), taper.cornerOf(), taper.land());
    }

    /** Numbers of corners that keep their radius; one that is added twice does not. */
    private static TaperChoice cornersOf(TaperChoice taper, Entry entry) {
        Map<Integer, CornerTaper> kinds = new TreeMap<>(adds(entry) ? taper.cornerOf() : Map.of());
        for (String one : pairs(entry)) {
            int element = element(one);
            if (kinds.remove(element) == null) {
                kinds.put(element, CornerTaper.CYLINDRICAL);
            }
        }
        return new TaperChoice(
                taper.angle(), taper.elements(), taper.corners(), kinds, taper.land());
    }

    private static List<String> pairs(Entry entry) {
        if (entry.text() == null) {
            return List.of();
        }
        String text = entry.text().strip();
        return List.of((adds(entry) ? text.substring(1).strip() : text).split("\\s*;\\s*"));
    }

    private static int element(String text) {
        Typed number =
                new Entry(text.strip(), Map.of()).whole("The number of an element", 1, 100_000);
        return (int) number.value() - 1;
    }

    private static UpperChoice upper(WireChoice choice, Entry entry) {
        if (entry.text() == null) {
            return null;
        }
        UpperChoice now = choice.upper();
        return now == null
                ? new UpperChoice(entry.text(), Matching.CORNERS, List.of(), null)
                : new UpperChoice(entry.text(), now.matching(), List.of(), null);
    }

    /** Lines that are added join the contours from then on. */
    private static UpperChoice lines(UpperChoice upper, Entry entry) {
        UpperChoice changed = upper.withLines(links(upper, entry));
        return adds(entry) ? changed.withMatching(Matching.LINES) : changed;
    }

    /** Pairs such as 12 > 15 between semicolons: distances along both contours. */
    private static List<UpperChoice.Link> links(UpperChoice now, Entry entry) {
        List<UpperChoice.Link> links = new ArrayList<>(adds(entry) ? now.lines() : List.of());
        for (String pair : pairs(entry)) {
            String[] sides = pair.split(">", 2);
            if (sides.length < 2) {
                throw new RefusedEditException(
                        "\"%s\" is not lower > upper, as in 12 > 15.".formatted(pair.strip()));
            }
            Typed lower = new Entry(sides[0].strip(), entry.names()).number("A place", 0, 1e6);
            Typed upper = new Entry(sides[1].strip(), entry.names()).number("A place", 0, 1e6);
            links.add(new UpperChoice.Link(lower.value(), upper.value()));
        }
        return links;
    }
}
