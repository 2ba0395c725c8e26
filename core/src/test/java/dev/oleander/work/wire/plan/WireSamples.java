package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.WireTask;

/** Plans of the wire machine for tests. */
public final class WireSamples {

    public static final Machine BRACKEN = MachineLibrary.shipped().find("bracken").orElseThrow();
    public static final WireBook BOOK = (WireBook) MachineLibrary.shipped().book(BRACKEN);

    /** Round the parts, with 15 mm left. */
    public static final SheetChoices ROUND_PARTS =
            SheetChoices.defaults()
                    .withStock(
                            new SheetChoices.Stock(
                                    true, Typed.of(100), Typed.of(100), Typed.of(15)));

    private WireSamples() {}

    public static WireTask task(double height, int quantity) {
        return new WireTask(BRACKEN, BOOK, "tool steel", height, quantity, 7700);
    }

    public static WirePlan plan(Reading reading, double height, WireChoices choices) {
        return plan(reading, task(height, 1), choices);
    }

    public static WirePlan plan(Reading reading, WireTask task, WireChoices choices) {
        return new WirePlanner(task, choices).plan(reading, ROUND_PARTS, Progress.NONE);
    }

    /** The only feature that is cut. */
    public static Feature only(Reading reading) {
        return reading.cut().findFirst().orElseThrow();
    }

    /** Choices that set one thing for every stop. */
    public static WireChoices all(WireChoice choice) {
        return WireChoices.NOTHING.withAll(choice);
    }

    /** The refusal of the only stop. */
    public static String refusal(WirePlan plan) {
        return plan.run().stops().get(0).refusal().orElseThrow().sentence();
    }
}
