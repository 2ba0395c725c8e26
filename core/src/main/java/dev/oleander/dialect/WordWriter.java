package dev.oleander.dialect;

import com.samskivert.mustache.Template;
import dev.oleander.dialect.Dialect.CentreForm;
import dev.oleander.dialect.Dialect.Part;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Writes blocks of words of an address and a number, as ISO 6983 has them. */
final class WordWriter {

    private final Dialect dialect;
    private final NumberForm coordinate;
    private final EventWords events;
    private final TextLines text;
    private final StringBuilder block = new StringBuilder();
    private final Template call;
    private final Template begin;
    private final HoleWords holes;
    private boolean cycling;
    private boolean incremental;
    private String motionWord = "";

    /** Where the tool is, as planned. */
    private Point at = Point.ORIGIN;

    private double high;

    /** Where the head is, as written, in steps. */
    private long x;

    private long y;

    /** Height and turn, as written, in steps. */
    private long z;

    private long turn;
    private long newZ;
    private long newTurn;

    /** How far the upper guide is off the lower one, as written, in steps. */
    private long u;

    private long v;
    private long newU;
    private long newV;
    private long feed = Long.MIN_VALUE;

    WordWriter(Dialect dialect, TextLines text) {
        this.dialect = dialect;
        this.coordinate = dialect.words().coordinate();
        this.events = new EventWords(dialect);
        this.text = text;
        Dialect.Subprograms subs = dialect.subprograms();
        this.call = subs == null ? null : EventWords.compiled("subprograms.call", subs.call());
        this.begin = subs == null ? null : EventWords.compiled("subprograms.begin", subs.begin());
        this.holes = new HoleWords(dialect);
        this.incremental = dialect.positions() == Dialect.Positions.INCREMENTAL;
    }

    void write(Program program, List<Integer> itemOf) {
        Repeats repeats = Repeats.of(program, dialect);
        boolean plain = repeats.calls().isEmpty();
        int i = 0;
        while (i < program.size()) {
            Repeats.Call called = plain ? null : repeats.calls().get(i);
            Optional<Drilled> hole =
                    called == null ? drilled(program, i, repeats) : Optional.empty();
            if (hole.isPresent()) {
                cycle(hole.get(), program.items().get(i), itemOf.get(i));
                i += hole.get().items();
            } else if (called == null) {
                item(program.items().get(i), itemOf.get(i));
                i++;
            } else {
                call(called, repeats, program, itemOf.get(i));
                i = called.body().to();
            }
        }
        endCycle();
        for (int sub = 0; sub < repeats.bodies().size(); sub++) {
            subprogram(sub, repeats.bodies().get(sub), program, itemOf);
        }
    }

    // ---- holes

    private Optional<Drilled> drilled(Program program, int i, Repeats repeats) {
        if (incremental || !dialect.motion().depth()) {
            return Optional.empty();
        }
        return holes.at(program.items(), i, at, high)
                .filter(
                        hole ->
                                IntStream.range(i, i + hole.items())
                                        .noneMatch(k -> repeats.calls().containsKey(k)));
    }

    private void cycle(Drilled hole, Item first, int from) {
        text.commentOf(first);
        text.block(holes.block(hole), from);
        x = coordinate.steps(hole.at().x());
        y = coordinate.steps(hole.at().y());
        at = hole.at();
        forget();
        cycling = true;
    }

    private void endCycle() {
        if (cycling) {
            text.block(dialect.cycles().end(), -1);
            cycling = false;
        }
    }

    // ---- what repeats

    private void call(Repeats.Call called, Repeats repeats, Program program, int from) {
        endCycle();
        text.block(numbered(call, called.sub()), from);
        Repeats.Body first = repeats.bodies().get(called.sub());
        Point end = end(program, first);
        x += coordinate.steps(end.x()) - coordinate.steps(first.start().x());
        y += coordinate.steps(end.y()) - coordinate.steps(first.start().y());
        pose(program.items().get(first.to() - 1));
        z = newZ;
        turn = newTurn;
        moved(program.items().get(called.body().to() - 1));
        forget();
    }

    private static Point end(Program program, Repeats.Body body) {
        Point at = body.start();
        for (Item item : program.items().subList(body.from(), body.to())) {
            if (item instanceof Item.Rapid rapid) {
                at = rapid.to();
            } else if (item instanceof Item.AtFeed feed) {
                at = feed.end();
            }
        }
        return at;
    }

    /** What was said before does not hold on the other side of a call. */
    private void forget() {
        motionWord = "";
        feed = Long.MIN_VALUE;
    }

    private void subprogram(int sub, Repeats.Body body, Program program, List<Integer> itemOf) {
        text.add(numbered(begin, sub), -1);
        text.block(dialect.subprograms().incremental(), -1);
        forget();
        boolean before = incremental;
        incremental = true;
        x = coordinate.steps(body.start().x());
        y = coordinate.steps(body.start().y());
        pose(program.items().get(body.from() - 1));
        z = newZ;
        turn = newTurn;
        for (int i = body.from(); i < body.to(); i++) {
            item(program.items().get(i), itemOf.get(i));
        }
        incremental = before;
        if (!incremental) {
            text.block(dialect.subprograms().absolute(), -1);
        }
        text.block(dialect.subprograms().end(), -1);
    }

    private String numbered(Template template, int sub) {
        int number = dialect.subprograms().first() + sub;
        return EventWords.rendered(
                "subprograms", template, Map.of("number", String.valueOf(number)));
    }

    private void item(Item item, int from) {
        endCycle();
        text.commentOf(item);
        if (!(item instanceof Item.Event)) {
            pose(item);
            moved(item);
        }
        if (item instanceof Item.Event event) {
            event(event, from);
        } else if (item instanceof Item.Plunge plunge) {
            move(dialect.motion().line(), plunge.at(), null, plunge.feed(), from);
        } else if (item instanceof Item.TwoPlane both) {
            newU = coordinate.steps(both.lean().x());
            newV = coordinate.steps(both.lean().y());
            move(dialect.motion().line(), both.end(), null, both.feed(), from);
        } else if (item instanceof Item.Rapid rapid) {
            move(dialect.motion().rapid(), rapid.to(), null, 0, from);
        } else if (item instanceof Item.Feed move) {
            boolean arc = move.segment() instanceof Arc;
            String word = arc ? arcWord((Arc) move.segment()) : dialect.motion().line();
            move(word, move.segment().end(), arc ? (Arc) move.segment() : null, move.feed(), from);
        }
    }

    /** Where the tool is then, as planned. */
    private void moved(Item item) {
        if (item instanceof Item.Rapid rapid) {
            at = rapid.to();
        } else if (item instanceof Item.AtFeed feeding) {
            at = feeding.end();
        }
        high = item instanceof Item.Event ? high : item.rise().to().z();
    }

    /** Height and turn at the end of a move; events leave them as they are. */
    private void pose(Item item) {
        if (!(item instanceof Item.Event)) {
            newZ = coordinate.steps(item.rise().to().z());
            newTurn = coordinate.steps(item.rise().to().turn());
        }
    }

    private String arcWord(Arc arc) {
        return arc.isLeft() ? dialect.motion().anticlockwise() : dialect.motion().clockwise();
    }

    private void event(Item.Event event, int from) {
        if (event.kind() == EventKind.END) {
            motionWord = "";
        }
        text.block(events.block(event), from);
    }

    /** Leaves out a move whose end is, as written, where the head already is. */
    private void move(String word, Point to, Arc arc, double speed, int from) {
        long newX = coordinate.steps(to.x());
        long newY = coordinate.steps(to.y());
        boolean level = newZ == z && newTurn == turn;
        if (newX == x && newY == y && newU == u && newV == v && level) {
            return;
        }
        block.setLength(0);
        for (Part part : dialect.order()) {
            switch (part) {
                case MOTION -> motion(word);
                case X -> place(dialect.addresses().x(), x, newX);
                case Y -> place(dialect.addresses().y(), y, newY);
                case Z -> depth(dialect.motion().depth(), dialect.addresses().z(), z, newZ);
                case TURN ->
                        depth(dialect.motion().rotary(), dialect.addresses().a(), turn, newTurn);
                case UPPER -> upper();
                case CENTRE -> centre(arc, newX, newY);
                case FEED -> feed(speed);
            }
        }
        motionWord = word;
        z = newZ;
        turn = newTurn;
        x = newX;
        y = newY;
        u = newU;
        v = newV;
        text.block(block, from);
    }

    private void motion(String word) {
        if (!dialect.motion().modal() || !word.equals(motionWord)) {
            gap();
            block.append(word);
        }
    }

    private void place(String address, long before, long now) {
        if (!coordinate.modal() || before != now) {
            gap();
            block.append(address);
            coordinate.append(block, incremental ? now - before : now);
        }
    }

    private void depth(boolean said, String address, long before, long now) {
        if (said) {
            place(address, before, now);
        }
    }

    /** From where the guides differ first until they no longer do. */
    private void upper() {
        boolean apart = newU != 0 || newV != 0 || u != 0 || v != 0;
        if (apart && (newU != u || newV != v || !coordinate.modal())) {
            word(dialect.addresses().u(), coordinate, newU);
            word(dialect.addresses().v(), coordinate, newV);
        }
    }

    private void centre(Arc arc, long newX, long newY) {
        if (arc == null) {
            return;
        }
        if (dialect.arcs().by() == Dialect.By.RADIUS) {
            NumberForm form = dialect.words().radius();
            double sign = Math.abs(arc.bulge()) > 1 ? -1 : 1;
            Point from = new Point(coordinate.value(x), coordinate.value(y));
            Point to = new Point(coordinate.value(newX), coordinate.value(newY));
            double radius = SaidRadius.of(arc, from, to, dialect.resolution());
            word(dialect.addresses().r(), form, form.steps(sign * radius));
            return;
        }
        NumberForm form = dialect.words().centre();
        Point centre = arc.centre();
        // relative to the start as written, so that its rounding does not add up
        boolean relative = dialect.arcs().centre() == CentreForm.RELATIVE;
        double baseX = relative ? coordinate.value(x) : 0;
        double baseY = relative ? coordinate.value(y) : 0;
        word(dialect.addresses().i(), form, form.steps(centre.x() - baseX));
        word(dialect.addresses().j(), form, form.steps(centre.y() - baseY));
    }

    private void feed(double speed) {
        if (speed <= 0) {
            return;
        }
        NumberForm form = dialect.words().feed();
        long steps = form.steps(speed);
        if (!form.modal() || steps != feed) {
            word(dialect.addresses().f(), form, steps);
            feed = steps;
        }
    }

    private void word(String address, NumberForm form, long steps) {
        gap();
        block.append(address);
        form.append(block, steps);
    }

    private void gap() {
        if (block.length() > 0 && dialect.file().spaces()) {
            block.append(' ');
        }
    }
}
