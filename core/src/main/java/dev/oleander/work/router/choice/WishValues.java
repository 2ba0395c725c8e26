package dev.oleander.work.router.choice;

import dev.oleander.book.CutDataException;
import dev.oleander.work.router.operation.Wish;
import java.util.List;
import java.util.Optional;

/** What can be set for single features, as it stands in an operation that people wish. */
public final class WishValues {

    public static final String WORK = "work";
    public static final String TOOL = "tool";
    public static final String DEPTH = "depth";
    public static final String SIDE = "side";
    public static final String WAY = "way";
    public static final String STEP_DOWN = "stepDown";
    public static final String STEP_OVER = "stepOver";
    public static final String ALLOWANCE = "allowance";
    public static final String TAB_COUNT = "tabs.count";
    public static final String TAB_SPACING = "tabs.spacing";
    public static final String TAB_WIDTH = "tabs.width";
    public static final String TAB_HEIGHT = "tabs.height";
    public static final String TAB_AT = "tabs.at";
    public static final String START = "start";
    public static final String BELOW = "below";
    public static final String BY_LEVEL = "byLevel";
    public static final String CREST = "crest";
    public static final String BANK = "bank";
    public static final String BEYOND_FLUTES = "beyondFlutes";
    public static final String WIDTH = "width";
    public static final String ENDS = "ends";
    public static final String FLOOR = "floor";
    public static final String FLAT_TOOL = "flatTool";
    public static final String PECK = "peck";
    public static final String MANNER = "manner";
    public static final String ANGLE = "angle";
    public static final String ENTRY = "entry.kind";
    public static final String ENTRY_ANGLE = "entry.angle";
    public static final String ENTRY_RADIUS = "entry.radius";
    public static final String FINISH_CUTS = "finish.cuts";
    public static final String FINISH_WIDTH = "finish.width";
    public static final String FINISH_AT = "finish.at";
    public static final String FINISH_FLOOR = "finish.floor";
    public static final String LEAD_RADIUS = "lead.radius";
    public static final String LEAD_OVER = "lead.over";
    public static final String SKIN = "skin";
    public static final String RANK = "rank";

    /** Of a whole job: whether its top is seen, and along which axis its grain runs. */
    public static final String SHOWN = "shown";

    public static final String GRAIN = "grain";

    private WishValues() {}

    /** What an operation says. */
    public static RouterChoice of(Wish wish) {
        RouterChoice values =
                RouterChoice.NOTHING
                        .with(WORK, wish.kind())
                        .with(TOOL, text(wish.tool()))
                        .with(DEPTH, wish.depth())
                        .with(SIDE, wish.side())
                        .with(WAY, wish.way())
                        .with(STEP_DOWN, wish.stepDown())
                        .with(STEP_OVER, wish.stepOver())
                        .with(ALLOWANCE, wish.allowance())
                        .with(WIDTH, wish.width())
                        .with(ENDS, wish.ends())
                        .with(FLOOR, wish.floor())
                        .with(FLAT_TOOL, text(wish.flatTool()))
                        .with(PECK, wish.peck())
                        .with(MANNER, wish.manner())
                        .with(ANGLE, wish.angle())
                        .with(SKIN, wish.skin())
                        .with(BEYOND_FLUTES, yesOrNo(wish.beyondFlutes()))
                        .with(BANK, yesOrNo(wish.bank()))
                        .with(CREST, wish.crest())
                        .with(BY_LEVEL, yesOrNo(wish.byLevel()))
                        .with(RANK, text(wish.rank()))
                        .with(BELOW, wish.below());
        Wish.TabWish tabs = wish.tabs();
        if (tabs != null) {
            values =
                    values.with(TAB_COUNT, text(tabs.count()))
                            .with(TAB_SPACING, tabs.spacing())
                            .with(TAB_WIDTH, tabs.width())
                            .with(TAB_HEIGHT, tabs.height())
                            .with(TAB_AT, tabs.at());
        }
        return withWalls(values, wish);
    }

    /** How it goes into the work, and how walls are finished. */
    private static RouterChoice withWalls(RouterChoice values, Wish wish) {
        RouterChoice with = values;
        if (wish.entry() != null) {
            with =
                    with.with(ENTRY, wish.entry().kind())
                            .with(ENTRY_ANGLE, wish.entry().angle())
                            .with(ENTRY_RADIUS, wish.entry().radius())
                            .with(START, wish.entry().at());
        }
        if (wish.finish() != null) {
            with =
                    with.with(FINISH_CUTS, text(wish.finish().cuts()))
                            .with(FINISH_WIDTH, wish.finish().width())
                            .with(FINISH_AT, wish.finish().at())
                            .with(FINISH_FLOOR, wish.finish().floor());
        }
        return wish.lead() == null
                ? with
                : with.with(LEAD_RADIUS, wish.lead().radius()).with(LEAD_OVER, wish.lead().over());
    }

    private static String yesOrNo(Boolean is) {
        return is == null ? null : is ? "yes" : "no";
    }

    private static String text(Integer number) {
        return number == null ? null : number.toString();
    }

    /**
     * An operation that says something else; what values do not speak of it keeps.
     *
     * @throws CutDataException when the number of a tool, or of tabs, is none
     */
    public static Wish with(Wish wish, String id, Wish.Place on, RouterChoice values) {
        return new Wish(
                id,
                on,
                values.get(WORK).orElse(null),
                whole(values, TOOL, "tool"),
                values.get(DEPTH).orElse(null),
                wish.depths(),
                wish.diameters(),
                wish.from(),
                values.get(SIDE).orElse(null),
                wish.islands(),
                values.get(STEP_DOWN).orElse(null),
                values.get(STEP_OVER).orElse(null),
                values.get(MANNER).orElse(null),
                values.get(ANGLE).orElse(null),
                values.get(ALLOWANCE).orElse(null),
                tabs(values),
                values.get(WIDTH).orElse(null),
                values.get(ENDS).orElse(null),
                wish.pair(),
                values.get(FLOOR).orElse(null),
                whole(values, FLAT_TOOL, "flat tool"),
                wish.restOf(),
                wish.copies(),
                values.get(PECK).orElse(null),
                values.get(WAY).orElse(null),
                wish.wrap(),
                new Wish.EntryWish(
                        values.get(ENTRY).orElse(null),
                        values.get(ENTRY_ANGLE).orElse(null),
                        values.get(ENTRY_RADIUS).orElse(null),
                        values.get(START).orElse(null)),
                new Wish.FinishWish(
                        whole(values, FINISH_CUTS, "number of finishing cuts"),
                        values.get(FINISH_WIDTH).orElse(null),
                        values.get(FINISH_AT).orElse(null),
                        values.get(FINISH_FLOOR).orElse(null)),
                new Wish.LeadWish(
                        values.get(LEAD_RADIUS).orElse(null), values.get(LEAD_OVER).orElse(null)),
                values.get(SKIN).orElse(null),
                values.get(BEYOND_FLUTES).map("yes"::equals).orElse(null),
                values.get(BANK).map("yes"::equals).orElse(null),
                values.get(CREST).orElse(null),
                values.get(BY_LEVEL).map("yes"::equals).orElse(null),
                values.get(BELOW).orElse(null),
                whole(values, RANK, "rank"));
    }

    private static Wish.TabWish tabs(RouterChoice values) {
        boolean none =
                values.get(TAB_COUNT).filter(n -> !n.equals("0")).isEmpty()
                        && (values.get(TAB_COUNT).isPresent() || values.get(TAB_SPACING).isEmpty())
                        && values.get(TAB_AT).isEmpty();
        return none
                ? null
                : new Wish.TabWish(
                        whole(values, TAB_COUNT, "number of tabs"),
                        values.get(TAB_SPACING).orElse(null),
                        values.get(TAB_WIDTH).orElse(null),
                        values.get(TAB_HEIGHT).orElse(null),
                        values.get(TAB_AT).orElse(null));
    }

    private static Integer whole(RouterChoice values, String word, String what) {
        Optional<String> text = values.get(word);
        try {
            return text.map(Integer::valueOf).orElse(null);
        } catch (NumberFormatException none) {
            throw new CutDataException(
                    "The %s is \"%s\"; it is a whole number.".formatted(what, text.get()));
        }
    }

    /** An operation of which nothing is said but what it is called. */
    public static Wish empty(String id) {
        return new Wish(
                id, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null);
    }

    /** Single features. */
    public static Wish.Place contours(List<String> ids) {
        return new Wish.Place(null, ids, null);
    }
}
