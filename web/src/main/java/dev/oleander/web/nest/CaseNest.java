package dev.oleander.web.nest;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.Heads;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.choice.DistanceChoices;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A nesting task with shapes of its own as a job with a drawing: its shapes side by side, its lines
 * of the parts that are read there.
 */
final class CaseNest {

    /** mm between the shapes. */
    private static final double BETWEEN = 20;

    private static final String LAYER = "CUT";

    private final NestTask task;

    /** Where each shape lies in the drawing. */
    private final Map<Region, Point> places = new LinkedHashMap<>();

    CaseNest(NestTask task) {
        this.task = task;
        double x = 0;
        for (OrderLine line : task.lines()) {
            if (!places.containsKey(line.shape())) {
                Box box = line.shape().box();
                places.put(line.shape(), new Point(x - box.min().x(), -box.min().y()));
                x += box.width() + BETWEEN;
            }
        }
    }

    /** The shapes as a file. */
    String dxf() {
        List<WrittenChain> chains = new ArrayList<>();
        places.forEach(
                (shape, at) -> {
                    for (Contour contour : shape.contours()) {
                        Contour there = contour.transformed(Transform.translation(at));
                        chains.add(
                                new WrittenChain(
                                        LAYER, there, there.circleDiameter(1e-9).isPresent()));
                    }
                });
        return DxfWriter.write(chains);
    }

    /**
     * Lines, sheets and distances of the task for the parts that were read of the file.
     *
     * @throws NestException when a shape was read as something else than one part
     */
    NestChoices choices(Reading reading) {
        List<PartLine> lines = new ArrayList<>();
        for (OrderLine line : task.lines()) {
            Point zero = places.get(line.shape());
            PartRef part = PartRef.of(part(reading, line, zero).id());
            PartLine plain = PartLine.of(line.id(), part, line.quantity());
            lines.add(
                    plain.withPriority(line.priority())
                            .withDue(line.due().orElse(null))
                            .withFill(line.fill())
                            .withTurns(line.turns().step())
                            .withMirror(line.mirror())
                            .withGap(line.gap() == 0 ? null : Typed.of(line.gap()))
                            .withZero(zero));
        }
        NestRules rules = task.rules();
        DistanceChoices distances =
                new DistanceChoices(
                        Typed.of(rules.gap()),
                        Typed.of(rules.margin()),
                        rules.inOpenings(),
                        rules.remnant().map(r -> Typed.of(r.least())).orElse(null),
                        rules.remnant()
                                .map(NestRules.RemnantRule::share)
                                .orElse(DistanceChoices.USUAL.restShare()),
                        rules.commonLines().map(kerf -> true).orElse(null),
                        rules.heads().map(Heads::count).orElse(null),
                        rules.heads().flatMap(Heads::pitch).map(Typed::of).orElse(null));
        List<StockLine> stock = task.stock().stream().map(CaseNest::stock).toList();
        return new NestChoices(lines, stock, distances, task.locked());
    }

    private static Part part(Reading reading, OrderLine line, Point zero) {
        Box box = line.shape().transformed(Transform.translation(zero)).box();
        return reading.parts().stream()
                .min(
                        Comparator.comparingDouble(
                                p -> p.region().box().centre().distance(box.centre())))
                .filter(p -> Math.abs(p.region().area() - line.shape().area()) < 0.01)
                .orElseThrow(
                        () ->
                                new NestException(
                                        "The shape of line %s is no single part: its contours cross, or one lies outside of the first."
                                                .formatted(line.id())));
    }

    private static StockLine stock(SheetStock sheet) {
        Box box = sheet.region().box();
        boolean plain = sheet.isPlain() && box.min().equals(Point.ORIGIN);
        List<Loop> outline =
                plain ? null : sheet.region().contours().stream().map(Loop::of).toList();
        return new StockLine(
                sheet.id(),
                box.width(),
                box.height(),
                outline,
                sheet.count().orElse(null),
                sheet.price(),
                sheet.grain().orElse(null),
                null);
    }
}
