package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.util.List;

/**
 * Writes codes and coordinates without addresses, as ISO 6582 has them for flame cutting: a line is
 * the way from where the head is, an arc has its centre as seen from there and the sign of its turn
 * behind it, a code switches rapid travel on or off.
 */
final class CodeWriter {

    private final Dialect dialect;
    private final NumberForm coordinate;
    private final EventWords events;
    private final TextLines text;
    private final StringBuilder block = new StringBuilder();
    private long x;
    private long y;
    private long feed = Long.MIN_VALUE;
    private boolean rapid;

    CodeWriter(Dialect dialect, TextLines text) {
        this.dialect = dialect;
        this.coordinate = dialect.words().coordinate();
        this.events = new EventWords(dialect);
        this.text = text;
    }

    void write(Program program, List<Integer> itemOf) {
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            text.commentOf(item);
            int from = itemOf.get(i);
            if (item instanceof Item.Event event) {
                text.block(events.block(event), from);
            } else if (item instanceof Item.Rapid move) {
                travel(move.to(), from);
            } else if (item instanceof Item.Feed move) {
                feed(move, from);
            }
        }
    }

    private void travel(Point to, int from) {
        if (moves(to)) {
            rapid(true, from);
            way(to, null, from);
        }
    }

    private void feed(Item.Feed move, int from) {
        Point to = move.segment().end();
        if (!moves(to)) {
            return;
        }
        rapid(false, from);
        long speed = dialect.words().feed().steps(move.feed());
        if (speed != feed) {
            feed = speed;
            block.setLength(0);
            block.append(dialect.addresses().f()).append('+');
            dialect.words().feed().append(block, speed);
            text.block(block, from);
        }
        way(to, move.segment() instanceof Arc arc ? arc : null, from);
    }

    private boolean moves(Point to) {
        return coordinate.steps(to.x()) != x || coordinate.steps(to.y()) != y;
    }

    private void rapid(boolean on, int from) {
        if (rapid != on) {
            rapid = on;
            text.block(on ? dialect.motion().rapid() : dialect.motion().line(), from);
        }
    }

    private void way(Point to, Arc arc, int from) {
        long newX = coordinate.steps(to.x());
        long newY = coordinate.steps(to.y());
        block.setLength(0);
        number(newX - x);
        number(newY - y);
        if (arc != null) {
            NumberForm form = dialect.words().centre();
            number(form.steps(arc.centre().x() - coordinate.value(x)));
            number(form.steps(arc.centre().y() - coordinate.value(y)));
            block.append(
                    arc.isLeft() ? dialect.motion().anticlockwise() : dialect.motion().clockwise());
        }
        x = newX;
        y = newY;
        text.block(block, from);
    }

    /** Nothing behind the sign says zero. */
    private void number(long steps) {
        block.append(steps < 0 ? '-' : '+');
        if (steps != 0) {
            block.append(Math.abs(steps));
        }
    }
}
