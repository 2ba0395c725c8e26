package dev.oleander.work.sheet.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The values of a row of the cut book. Lengths mm, feeds mm/min, times s, angles degrees, money in
 * the shop's currency.
 */
public final class CutFields {

    private static final BookField<CutRow> MATERIAL =
            BookField.text("material", "Material", CutRow::material);
    private static final BookField<CutRow> THICKNESS =
            BookField.above0("thickness", "Thickness", "mm", 400, CutRow::thickness);
    private static final BookField<CutRow> QUALITY =
            BookField.text("quality", "Quality", CutRow::quality);
    private static final BookField<CutRow> KERF =
            BookField.above0("kerf", "Kerf", "mm", 20, CutRow::kerf);
    private static final BookField<CutRow> FEED =
            BookField.above0("feed", "Feed", "mm/min", 100_000, CutRow::feed);
    private static final BookField<CutRow> MARK_FEED =
            BookField.above0("markFeed", "Feed for marking", "mm/min", 1e5, CutRow::markFeed);
    private static final BookField<CutRow> PIERCE_SECONDS =
            BookField.from0("pierceSeconds", "Pierce", "s", 600, CutRow::pierceSeconds);
    private static final BookField<CutRow> PIERCE_HEIGHT =
            BookField.from0("pierceHeight", "Pierce height", "mm", 100, CutRow::pierceHeight);
    private static final BookField<CutRow> CUT_HEIGHT =
            BookField.from0("cutHeight", "Cut height", "mm", 100, CutRow::cutHeight);
    private static final BookField<CutRow> SMALLEST_HOLE =
            BookField.from0("smallestHole", "Smallest hole", "mm", 400, CutRow::smallestHole);
    private static final BookField<CutRow> LEAD =
            BookField.above0("lead", "Lead", "mm", 200, CutRow::lead);
    private static final BookField<CutRow> PIERCE_CLEARANCE =
            BookField.above0(
                    "pierceClearance", "Pierce clearance", "mm", 100, CutRow::pierceClearance);
    private static final BookField<CutRow> OVER_RUN =
            BookField.from0("overRun", "Over-run", "mm", 100, CutRow::overRun);
    public static final BookField<CutRow> POWER =
            BookField.from0("power", "Power", "W", 1e6, CutRow::power);
    private static final BookField<CutRow> GAS = BookField.text("gas", "Gas", CutRow::gas);
    private static final BookField<CutRow> PRESSURE =
            BookField.from0("pressure", "Pressure", "bar", 10_000, CutRow::pressure);
    private static final BookField<CutRow> CORNER_OVER =
            BookField.from0("cornerOver", "Corners over", "°", 180, r -> r.corner().over());
    private static final BookField<CutRow> CORNER_SHARE =
            BookField.above0("cornerShare", "Feed there", "of 1", 1, r -> r.corner().share());
    private static final BookField<CutRow> CORNER_WITHIN =
            BookField.from0("cornerWithin", "Within", "mm", 100, r -> r.corner().within());
    private static final BookField<CutRow> HOURLY_COST =
            BookField.from0("hourlyCost", "Running", "an hour", 1e5, r -> r.cost().hour());
    private static final BookField<CutRow> PIERCE_COST =
            BookField.from0("pierceCost", "A pierce", "each", 1e4, r -> r.cost().pierce());

    /** What a process sets instead of power. */
    private static final Map<String, BookField<CutRow>> SET =
            Map.of(
                    "plasma", POWER.named("Current", "A"),
                    "waterjet", POWER.named("Abrasive", "g/min"));

    private CutFields() {}

    /** Of the machines of a process: laser, plasma, waterjet. */
    public static BookForm<CutRow> of(String process) {
        List<BookField<CutRow>> fields =
                new ArrayList<>(
                        List.of(
                                MATERIAL,
                                THICKNESS,
                                QUALITY,
                                KERF,
                                FEED,
                                MARK_FEED,
                                PIERCE_SECONDS,
                                PIERCE_HEIGHT,
                                CUT_HEIGHT,
                                SMALLEST_HOLE,
                                LEAD,
                                PIERCE_CLEARANCE,
                                OVER_RUN));
        fields.addAll(
                List.of(
                        SET.getOrDefault(process, POWER),
                        GAS,
                        PRESSURE,
                        CORNER_OVER,
                        CORNER_SHARE,
                        CORNER_WITHIN,
                        HOURLY_COST,
                        PIERCE_COST));
        return BookForm.of(
                CutRow.class, fields, List.of(MATERIAL, THICKNESS, QUALITY), CutFields::row);
    }

    private static CutRow row(BookForm.Given given) {
        return new CutRow(
                given.id(),
                given.text(MATERIAL),
                given.number(THICKNESS),
                given.text(QUALITY),
                false,
                given.number(KERF),
                given.number(FEED),
                given.number(MARK_FEED),
                given.number(PIERCE_SECONDS),
                given.number(PIERCE_HEIGHT),
                given.number(CUT_HEIGHT),
                given.number(SMALLEST_HOLE),
                given.number(LEAD),
                given.number(PIERCE_CLEARANCE),
                given.number(OVER_RUN),
                given.number(POWER),
                given.text(GAS),
                given.number(PRESSURE),
                new CutRow.Corner(
                        given.number(CORNER_OVER),
                        given.number(CORNER_SHARE),
                        given.number(CORNER_WITHIN)),
                new CutRow.Cost(given.number(HOURLY_COST), given.number(PIERCE_COST)));
    }
}
