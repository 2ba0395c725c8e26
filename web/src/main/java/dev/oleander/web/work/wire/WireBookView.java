package dev.oleander.web.work.wire;

import dev.oleander.book.BookForm;
import dev.oleander.machine.Machine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.library.BookView;
import dev.oleander.work.Work;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.book.WirePass;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.book.WireUnit;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Component;

/** Data of wire machines, pass by pass. */
@Component
class WireBookView implements BookView<WireRow> {

    @Override
    public Work<?, ?> kind() {
        return WireCutting.WIRE;
    }

    @Override
    public String example() {
        return "brass 0.25 tool steel fine";
    }

    @Override
    public List<Figure> figures(Machine machine) {
        WireUnit unit = (WireUnit) machine.unit();
        return List.of(
                new Figure(
                        "Guides apart",
                        "%s mm, %s°"
                                .formatted(whole(unit.uvTravel()), whole(unit.greatestAngle()))),
                new Figure("Upper guide reaches", whole(unit.upperReach()) + " mm"),
                new Figure(
                        "Threading",
                        "%s s, %d tries"
                                .formatted(whole(unit.threadSeconds()), unit.threadTries())),
                new Figure(
                        "Turning the axis",
                        "%s s and %s° a second"
                                .formatted(whole(unit.indexSeconds()), whole(unit.indexSpeed()))),
                new Figure("A slug may drop up to", Numbers.fixed(unit.dropMass(), 2) + " kg"));
    }

    private static String whole(double value) {
        return Numbers.fixed(value, 0);
    }

    @Override
    public List<Column<WireRow>> columns(BookForm<WireRow> form) {
        return List.of(
                new Column<>("Wire", WireRow::wire),
                new Column<>("Height mm", row -> Numbers.plain(row.height(), 2)),
                new Column<>("Finish", WireRow::finish));
    }

    @Override
    public List<LineColumn<WireRow>> lineColumns() {
        return List.of(
                new LineColumn<>("Offset mm", (row, pass) -> Numbers.fixed(row.offset(pass), 4)),
                number("Gap mm", WirePass::gap, 4),
                number("Left mm", WirePass::stock, 4),
                text("Register", pass -> "D" + pass.register()),
                text("Condition", pass -> "C" + pass.condition()),
                number("mm²/min", WirePass::rate, 1),
                new LineColumn<>("mm/min", (row, pass) -> Numbers.fixed(row.feed(pass), 2)),
                number("Flushing bar", WirePass::flushing, 1),
                number("Tension N", WirePass::tension, 1));
    }

    private static LineColumn<WireRow> text(String head, Function<WirePass, String> of) {
        return new LineColumn<>(head, (row, pass) -> of.apply(row.passes().get(pass - 1)));
    }

    private static LineColumn<WireRow> number(
            String head, ToDoubleFunction<WirePass> of, int decimals) {
        return text(head, pass -> Numbers.fixed(of.applyAsDouble(pass), decimals));
    }
}
