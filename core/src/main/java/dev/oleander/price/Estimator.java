package dev.oleander.price;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.price.Estimate.Costs;
import dev.oleander.quantity.Numbers;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Prices a lot from what was planned for it; nothing is guessed that a plan can tell. */
public final class Estimator {

    private final PriceList prices;

    public Estimator(PriceList prices) {
        this.prices = prices;
    }

    /**
     * What is asked for.
     *
     * @param thickness mm
     * @param quantity copies of the drawing, or of its parts where they are laid one by one
     */
    public record Lot(Reading reading, String material, double thickness, int quantity) {

        public Lot {
            if (quantity < 1) {
                throw new IllegalArgumentException("a lot has at least one copy: " + quantity);
            }
        }
    }

    /**
     * Sheets of a lot that are all alike.
     *
     * @param running gas, abrasive, energy and wear of one of them with one head, money
     * @param setUp how many there are, and with how many heads
     */
    public record Sheets(Run run, Timeline timeline, double running, SetUp setUp) {

        private int count() {
            return setUp.count();
        }

        private double seconds() {
            return count() * timeline.total();
        }

        private double kept(Reading reading) {
            return setUp.times() * run.layout().keptArea(reading);
        }

        /** mm2 of the boxes of what lies on them, with the gaps between. */
        private double taken(Reading reading) {
            double gap = run.layout().gap();
            Map<PartRef, Double> boxes = new HashMap<>();
            return setUp.times()
                    * run.layout().placements().stream()
                            .mapToDouble(
                                    p ->
                                            boxes.computeIfAbsent(
                                                    p.of(), of -> with(gap, of.box(reading))))
                            .sum();
        }

        private static double with(double gap, Box box) {
            return (box.width() + gap) * (box.height() + gap);
        }

        private double area() {
            return count() * setUp.stockArea(run.layout());
        }
    }

    /**
     * The estimate of what was planned.
     *
     * @param all the sheets of the whole lot; the first ones are the fullest
     */
    public Estimate cut(Lot lot, List<Sheets> all) {
        Run run = all.get(0).run();
        Machine machine = run.machine();
        SheetLayout layout = run.layout();
        if (layout.placed() == 0) {
            return Estimate.impossible(
                    machine.name(), machine.process(), machine.id(), doesNotFit(layout));
        }
        if (run.refused().size() == run.stops().size()) {
            String why =
                    run.refused().stream()
                            .findFirst()
                            .flatMap(Stop::refusalSentence)
                            .orElse("Nothing is to be cut.");
            return Estimate.impossible(machine.name(), machine.process(), machine.id(), why);
        }
        double seconds = all.stream().mapToDouble(Sheets::seconds).sum();
        Stock stock = Stock.of(lot, all);
        Costs costs =
                costs(
                        lot,
                        stock,
                        seconds / 3600 * machine.hourlyRate(),
                        all.stream().mapToDouble(s -> s.setUp().times() * s.running()).sum(),
                        machine.setUpMinutes() / 60 * machine.hourlyRate());
        long pierces = all.stream().mapToLong(s -> s.setUp().times() * pierces(s.timeline())).sum();
        return new Estimate(
                machine.name(),
                machine.process(),
                machine.id(),
                "",
                warning(run),
                seconds / lot.quantity(),
                (int) Math.round((double) pierces / lot.quantity()),
                Map.of(),
                layout.placed(),
                stock.sheets(),
                stock.kept() / stock.area(),
                costs);
    }

    /**
     * What a lot lies on.
     *
     * @param kept material of all its parts, mm2
     * @param taken by their boxes with the gaps between, mm2
     * @param area of all its sheets, mm2
     */
    private record Stock(double kept, double taken, double area, int sheets) {

        static Stock of(Lot lot, List<Sheets> all) {
            return new Stock(
                    all.stream().mapToDouble(s -> s.kept(lot.reading())).sum(),
                    all.stream().mapToDouble(s -> s.taken(lot.reading())).sum(),
                    all.stream().mapToDouble(Sheets::area).sum(),
                    all.stream().mapToInt(s -> s.setUp().sheets()).sum());
        }

        /** As many sheets as are needed when all are like this one. */
        static Stock alike(Lot lot, SheetLayout layout) {
            int sheets = (lot.quantity() + layout.placed() - 1) / layout.placed();
            Box one = layout.stock();
            return new Stock(
                    lot.quantity() * lot.reading().keptArea(),
                    lot.quantity() * Sheets.with(layout.gap(), lot.reading().workBox()),
                    sheets * one.width() * one.height(),
                    sheets);
        }
    }

    private static String doesNotFit(SheetLayout layout) {
        return "It does not fit on the stock of %s x %s mm."
                .formatted(
                        Numbers.plain(layout.stock().width(), 0),
                        Numbers.plain(layout.stock().height(), 0));
    }

    private static String warning(Run run) {
        int refused = run.refused().size();
        int drilled = run.drilled().size();
        String cannot = refused == 0 ? "" : refused + " stops cannot be cut there. ";
        String drills = drilled == 0 ? "" : drilled + " holes are left for drilling.";
        return (cannot + drills).strip();
    }

    private static long pierces(Timeline timeline) {
        return timeline.program().items().stream()
                .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.PIERCE)
                .count();
    }

    private Costs costs(Lot lot, Stock stock, double machine, double running, double setUp) {
        double byArea = 0;
        double bySheet = 0;
        var material = prices.find(lot.material());
        if (material.isPresent()) {
            byArea = material.get().price(stock.taken(), lot.thickness());
            bySheet = material.get().price(stock.area(), lot.thickness());
        }
        return new Costs(lot.quantity(), machine, running, setUp, byArea, bySheet);
    }

    /** Name of the punching machine. */
    public String puncher() {
        return prices.punch().name();
    }

    /** The estimate of punching the same lot from the same layout. */
    public Estimate punch(Lot lot, SheetLayout layout) {
        PunchPress press = prices.punch();
        Double thickest = press.thickest().get(lot.material());
        if (thickest == null || lot.thickness() > thickest) {
            String why =
                    thickest == null
                            ? "%s cannot be punched.".formatted(lot.material())
                            : "%s is punched up to %s mm; the job is %s mm thick."
                                    .formatted(
                                            lot.material(),
                                            Numbers.plain(thickest, 2),
                                            Numbers.plain(lot.thickness(), 2));
            return Estimate.impossible(press.name(), "punching", "", why);
        }
        if (layout.placed() == 0) {
            return Estimate.impossible(press.name(), "punching", "", doesNotFit(layout));
        }
        PunchWork work = new PunchWork(press, lot.reading());
        double sheetSeconds = punchSeconds(press, work, lot, layout);
        double factor = (double) lot.quantity() / layout.placed();
        double hours = factor * sheetSeconds / 3600;
        Stock stock = Stock.alike(lot, layout);
        Costs costs =
                costs(
                        lot,
                        stock,
                        hours * press.hourlyRate(),
                        hours * press.hourlyCost() + work.hits().size() * press.toolCost(),
                        press.setUpMinutes() / 60 * press.hourlyRate());
        return new Estimate(
                press.name(),
                "punching",
                "",
                "",
                "",
                sheetSeconds / layout.placed(),
                work.total(),
                work.hits(),
                layout.placed(),
                stock.sheets(),
                stock.kept() / stock.area(),
                costs);
    }

    /**
     * One sheet: all hits of a tool over all copies before the next tool. Between features the way
     * is that of evenly spread places, 0.72 sqrt(A / n), as in the shortest way through random
     * ones.
     */
    private static double punchSeconds(
            PunchPress press, PunchWork work, Lot lot, SheetLayout layout) {
        int copies = layout.placed();
        Box stock = layout.stock();
        double area = stock.width() * stock.height();
        double seconds = copies * (work.total() * press.hitSeconds() + work.travelSeconds());
        for (int hits : work.hits().values()) {
            int places = Math.max(1, Math.min(hits, lot.reading().features().size())) * copies;
            double way = 0.72 * Math.sqrt(area / places);
            seconds += places * PunchWork.seconds(press, way);
        }
        double grips =
                Math.ceil(stock.width() / press.window().x())
                                * Math.ceil(stock.height() / press.window().y())
                        - 1;
        return seconds
                + work.hits().size() * press.toolSeconds()
                + grips * press.repositionSeconds();
    }
}
