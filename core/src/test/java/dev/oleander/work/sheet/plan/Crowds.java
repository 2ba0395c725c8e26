package dev.oleander.work.sheet.plan;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import java.util.SplittableRandom;

/** Random sheets on which there is little room. */
final class Crowds {

    private Crowds() {}

    /** Plates, discs and angles with holes, 1 to 8 mm from each other. */
    static Reading crowd(SplittableRandom random) {
        Drawn drawn = new Drawn();
        double y = 0;
        for (int row = 0; row < 2; row++) {
            double x = 0;
            double tallest = 0;
            for (int column = 0; column < 3; column++) {
                double w = 25 + 40 * random.nextDouble();
                double h = 25 + 30 * random.nextDouble();
                plate(drawn, x, y, w, h, random);
                x += w + 1 + 7 * random.nextDouble();
                tallest = Math.max(tallest, h);
            }
            y += tallest + 1 + 7 * random.nextDouble();
        }
        return drawn.reading();
    }

    private static void plate(
            Drawn drawn, double x, double y, double w, double h, SplittableRandom random) {
        switch (random.nextInt(3)) {
            case 0 -> drawn.rectangle(x, y, w, h);
            case 1 ->
                    drawn.circle(
                            x + Math.min(w, h) / 2, y + Math.min(w, h) / 2, Math.min(w, h) / 2);
            default ->
                    drawn.closed(
                            x, y, x + w, y, x + w, y + h / 3, x + w / 3, y + h / 3, x + w / 3,
                            y + h, x, y + h);
        }
        double third = Math.min(w, h) / 3;
        if (random.nextBoolean()) {
            drawn.circle(x + third, y + third / 2 + 1, 1 + 3 * random.nextDouble());
        }
        if (random.nextBoolean()) {
            drawn.rectangle(x + third, y + 1.5, 2 + 6 * random.nextDouble(), third - 3);
        }
    }

    static SheetChoices tight(SplittableRandom random) {
        Typed edge = Typed.of(1 + 6 * random.nextDouble());
        SheetChoices usual = SheetChoices.defaults();
        return usual.withStock(new SheetChoices.Stock(true, usual.width(), usual.height(), edge))
                .withGrid(
                        new SheetChoices.Grid(
                                Typed.of(90.0 * random.nextInt(4)),
                                null,
                                null,
                                Typed.of(2 + 6 * random.nextDouble()),
                                null,
                                random.nextBoolean()));
    }

    /** Some leads dragged to anywhere. */
    static PlanChoices someByHand(Reading reading, SplittableRandom random) {
        PlanChoices choices = PlanChoices.defaults();
        for (var feature : reading.features()) {
            if (random.nextInt(4) == 0) {
                Typed start = Typed.of(feature.contour().length() * random.nextDouble());
                choices = choices.withStop(feature.id(), StopChoice.NOTHING.withStart(start));
            }
        }
        return choices;
    }
}
