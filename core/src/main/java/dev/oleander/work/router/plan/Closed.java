package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation.What;

/** What needs a closed contour. */
final class Closed {

    private Closed() {}

    /**
     * @throws CannotException saying where it is open
     */
    static void require(Feature feature, What what) {
        if (feature.isClosed()) {
            return;
        }
        Point from = feature.chain().start();
        throw new CannotException(
                "Contour %s is open (%s mm at %s, %s): a %s needs a closed one.",
                feature.id(),
                Numbers.plain(from.distance(feature.chain().end()), 2),
                Numbers.plain(from.x(), 1),
                Numbers.plain(from.y(), 1),
                what.word());
    }
}
