package dev.oleander.dialect;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.util.List;

/**
 * Writes statements of a major word and what follows its slash, as ISO 3592 and ISO 4343 have them
 * for what passes from a planner to a post-processor: an arc is its circle, with the direction as
 * the sign of its axis, and the point where it ends; a travel is announced and then made.
 */
final class StatementWriter {

    private final Dialect dialect;
    private final NumberForm coordinate;
    private final EventWords events;
    private final TextLines text;
    private final StringBuilder block = new StringBuilder();
    private long x;
    private long y;
    private long z;
    private long newZ;
    private long feed = Long.MIN_VALUE;

    StatementWriter(Dialect dialect, TextLines text) {
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
            } else if (item instanceof Item.Rapid rapid && moves(rapid.to(), item)) {
                text.block(dialect.motion().rapid(), from);
                goTo(rapid.to(), from);
            } else if (item instanceof Item.Plunge plunge && moves(plunge.at(), item)) {
                feed(plunge.feed(), from);
                goTo(plunge.at(), from);
            } else if (item instanceof Item.Feed move && moves(move.segment().end(), item)) {
                feed(move.feed(), from);
                if (move.segment() instanceof Arc arc) {
                    circle(arc, from);
                }
                goTo(move.segment().end(), from);
            }
        }
    }

    private boolean moves(Point to, Item item) {
        newZ = coordinate.steps(item.rise().to().z());
        return coordinate.steps(to.x()) != x || coordinate.steps(to.y()) != y || newZ != z;
    }

    private void feed(double speed, int from) {
        NumberForm form = dialect.words().feed();
        long steps = form.steps(speed);
        if (steps != feed) {
            feed = steps;
            begin(dialect.addresses().f());
            form.append(block, steps);
            text.block(block, from);
        }
    }

    private void circle(Arc arc, int from) {
        begin(arc.isLeft() ? dialect.motion().anticlockwise() : dialect.motion().clockwise());
        NumberForm form = dialect.words().centre();
        form.append(block, form.steps(arc.centre().x()));
        block.append(", ");
        form.append(block, form.steps(arc.centre().y()));
        block.append(", 0, 0, 0, ").append(arc.isLeft() ? "1, " : "-1, ");
        NumberForm radius = dialect.words().radius();
        radius.append(block, radius.steps(arc.radius()));
        text.block(block, from);
    }

    private void goTo(Point to, int from) {
        x = coordinate.steps(to.x());
        y = coordinate.steps(to.y());
        begin(dialect.motion().line());
        coordinate.append(block, x);
        block.append(", ");
        coordinate.append(block, y);
        z = newZ;
        block.append(", ");
        if (z == 0) {
            // as machines without depth have it
            block.append('0');
        } else {
            coordinate.append(block, z);
        }
        text.block(block, from);
    }

    private void begin(String word) {
        block.setLength(0);
        block.append(word).append(" / ");
    }
}
