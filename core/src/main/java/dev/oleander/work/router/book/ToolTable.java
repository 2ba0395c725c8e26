package dev.oleander.work.router.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The tools of a router's magazine; a tool keeps its number. */
public record ToolTable(String machine, List<FlatTool> rows)
        implements BookTable<FlatTool, ToolTable> {

    private static final BookField<FlatTool> NUMBER =
            BookField.above0("number", "Number", "", 999, FlatTool::number).whole();
    private static final BookField<FlatTool> NAME = BookField.text("name", "Name", FlatTool::name);
    private static final BookField<FlatTool> KIND = BookField.text("kind", "Kind", FlatTool::kind);
    private static final BookField<FlatTool> DIAMETER =
            BookField.above0("diameter", "Diameter", "mm", 400, FlatTool::diameter);
    private static final BookField<FlatTool> TIP =
            BookField.from0("tipDiameter", "Tip", "mm", 400, FlatTool::tipDiameter);
    private static final BookField<FlatTool> ANGLE =
            BookField.from0("angle", "Angle", "°", 180, FlatTool::angle);
    private static final BookField<FlatTool> CORNER =
            BookField.from0("cornerRadius", "Corner radius", "mm", 200, FlatTool::cornerRadius);
    private static final BookField<FlatTool> FLUTES =
            BookField.above0("flutes", "Flutes", "", 200, FlatTool::flutes).whole();
    private static final BookField<FlatTool> LENGTH =
            BookField.above0("fluteLength", "Flute length", "mm", 500, FlatTool::fluteLength);
    private static final BookField<FlatTool> SHANK =
            BookField.above0("shankDiameter", "Shank", "mm", 400, FlatTool::shankDiameter);
    private static final BookField<FlatTool> OUT =
            BookField.above0("stickOut", "Stick-out", "mm", 500, FlatTool::stickOut);
    private static final BookField<FlatTool> HAND = BookField.text("hand", "Hand", FlatTool::hand);
    private static final BookField<FlatTool> DEAD =
            BookField.from0("deadDiameter", "Dead middle", "mm", 400, FlatTool::deadDiameter);
    private static final BookField<FlatTool> RAMP =
            BookField.from0("rampAngle", "Ramp", "°", 90, FlatTool::rampAngle);
    private static final BookField<FlatTool> UP =
            BookField.from0("upCut", "Up-cut", "mm", 500, FlatTool::upCut);
    private static final BookField<FlatTool> BLADE =
            BookField.from0("bladeWidth", "Blade", "mm", 50, FlatTool::bladeWidth);
    private static final BookField<FlatTool> DEPTH =
            BookField.above0("passDepth", "Depth of a pass", "D", 50, FlatTool::passDepth);
    private static final BookField<FlatTool> SLOWEST =
            BookField.from0("minSpeed", "Least speed", "rev/min", 100_000, FlatTool::minSpeed);
    private static final BookField<FlatTool> FASTEST =
            BookField.above0("maxSpeed", "Most speed", "rev/min", 100_000, FlatTool::maxSpeed);
    private static final BookField<FlatTool> LIFE =
            BookField.from0("life", "Life", "m", 1_000_000, FlatTool::life);

    private static final BookField<FlatTool> HOLDER =
            BookField.text("holder", "Holder (D x height)", ToolTable::holder);

    private static final BookForm<FlatTool> FORM =
            BookForm.of(
                    FlatTool.class,
                    List.of(
                            NUMBER, NAME, KIND, DIAMETER, TIP, ANGLE, CORNER, FLUTES, LENGTH, SHANK,
                            OUT, HAND, DEAD, RAMP, UP, BLADE, DEPTH, SLOWEST, FASTEST, LIFE,
                            HOLDER),
                    List.of(NUMBER),
                    ToolTable::read);

    public ToolTable {
        rows = List.copyOf(rows);
    }

    private static FlatTool read(BookForm.Given given) {
        int number = (int) given.number(NUMBER);
        if (!given.id().equals(String.valueOf(number))) {
            throw new CutDataException(
                    "Tool %s keeps its number; copy it to make tool %d."
                            .formatted(given.id(), number));
        }
        double dead = given.number(DEAD);
        FlatTool row =
                new FlatTool(
                        number,
                        given.text(NAME),
                        given.text(KIND),
                        given.number(DIAMETER),
                        given.number(TIP),
                        given.number(ANGLE),
                        given.number(CORNER),
                        (int) given.number(FLUTES),
                        given.number(LENGTH),
                        given.number(SHANK),
                        given.number(OUT),
                        given.text(HAND),
                        dead == 0,
                        dead,
                        given.number(RAMP),
                        given.number(UP),
                        given.number(BLADE),
                        given.number(DEPTH),
                        given.number(SLOWEST),
                        given.number(FASTEST),
                        given.number(LIFE),
                        true,
                        holder(given.text(HOLDER)));
        row.tool();
        return row;
    }

    /** As people write it: 40x30 63x45. */
    private static String holder(FlatTool tool) {
        return tool.tool().holder().steps().stream()
                .map(
                        s ->
                                "%sx%s"
                                        .formatted(
                                                Numbers.plain(s.diameter(), 3),
                                                Numbers.plain(s.height(), 3)))
                .collect(Collectors.joining(" "));
    }

    private static List<Tool.Holder.Step> holder(String text) {
        if (text.isBlank()) {
            return null;
        }
        List<Tool.Holder.Step> steps = new ArrayList<>();
        for (String step : text.strip().split("[\\s,;]+")) {
            String[] sizes = step.split("x");
            try {
                steps.add(
                        new Tool.Holder.Step(
                                Double.parseDouble(sizes[0]), Double.parseDouble(sizes[1])));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException none) {
                throw new CutDataException(
                        "The holder \"%s\" is no diameter and height such as 40x30."
                                .formatted(step));
            }
        }
        return steps;
    }

    @Override
    public List<String> words() {
        return List.of();
    }

    @Override
    public BookForm<FlatTool> form() {
        return FORM;
    }

    @Override
    public ToolTable of(List<FlatTool> others) {
        return new ToolTable(machine, others);
    }

    /** By kind, then by number. */
    @Override
    public Comparator<FlatTool> order(List<FlatTool> all) {
        List<String> kinds = Stream.of(ToolKind.values()).map(ToolKind::word).toList();
        return Comparator.comparingInt((FlatTool t) -> kinds.indexOf(t.kind()))
                .thenComparingInt(FlatTool::number);
    }
}
