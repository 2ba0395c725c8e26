package dev.oleander.web.program;

import dev.oleander.dialect.ReadBack;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Kinds;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.util.StringUtils;

/** What a program from outside does on a machine. */
public final class ProgramReading {

    private final ReadBack read;
    private final Machine machine;
    private final Timeline timeline;

    public ProgramReading(ReadBack read, Machine machine) {
        this.read = read;
        this.machine = machine;
        this.timeline = new TimeModel(machine).time(read.program());
    }

    /** A value with its name. */
    public record Fact(String name, String value) {}

    public Timeline timeline() {
        return timeline;
    }

    public Program program() {
        return read.program();
    }

    public List<ReadBack.Problem> problems() {
        return read.problems();
    }

    /** What is to be said of the lines that are not understood, in a few words. */
    public String understood() {
        int lines = problems().size();
        if (lines == 0) {
            return "Every line is understood";
        }
        if (read.isGivenUp()) {
            return "%d lines are not understood; the rest was not read".formatted(lines);
        }
        return lines == 1 ? "One line is not understood" : lines + " lines are not understood";
    }

    public List<Fact> facts() {
        Seconds seconds = timeline.seconds();
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact("Motions and events", String.valueOf(program().size())));
        facts.add(new Fact("Starts", String.valueOf(starts())));
        facts.add(new Fact("Cut", Numbers.plain(cutLength() / 1000, 2) + " m"));
        facts.add(new Fact("Cutting", Numbers.duration(seconds.cutting())));
        facts.add(new Fact("Travel", Numbers.duration(seconds.travel())));
        String starts = StringUtils.capitalize(Kinds.of(machine).starts());
        facts.add(new Fact(starts, Numbers.duration(seconds.piercing())));
        facts.add(new Fact("In all on " + machine.name(), Numbers.duration(seconds.total())));
        box().ifPresent(
                        box -> {
                            facts.add(new Fact("X", range(box.min().x(), box.max().x())));
                            facts.add(new Fact("Y", range(box.min().y(), box.max().y())));
                        });
        return facts;
    }

    private static String range(double from, double to) {
        return "%s to %s mm".formatted(Numbers.plain(from, 3), Numbers.plain(to, 3));
    }

    private long starts() {
        return program().items().stream()
                .filter(i -> i instanceof Item.Event e && e.kind().isOn())
                .count();
    }

    private double cutLength() {
        return program().items().stream()
                .filter(i -> i instanceof Item.AtFeed f && f.on())
                .mapToDouble(i -> ((Item.AtFeed) i).length())
                .sum();
    }

    /** Round all motions; empty when nothing moves. */
    public Optional<Box> box() {
        List<Box> boxes = new ArrayList<>();
        for (Item item : program().items()) {
            Box box = boxOf(item);
            if (box != null) {
                boxes.add(box);
            }
        }
        return boxes.isEmpty() ? Optional.empty() : Optional.of(Box.around(boxes));
    }

    /** Where it leaves the travel of the machine; sentences with line, value and limit. */
    public List<String> beyond() {
        List<String> beyond = new ArrayList<>();
        Point most = new Point(machine.travel().x(), machine.travel().y());
        List<Item> items = program().items();
        for (int i = 0; i < items.size() && beyond.size() < 20; i++) {
            Box box = boxOf(items.get(i));
            if (box != null) {
                boolean out =
                        box.min().x() < -1e-6
                                || box.min().y() < -1e-6
                                || box.max().x() > most.x() + 1e-6
                                || box.max().y() > most.y() + 1e-6;
                if (out) {
                    beyond.add(
                            "Line %d goes to X %s, Y %s; %s reaches from 0 to %s and %s."
                                    .formatted(
                                            read.lineOfItem().get(i),
                                            range(box.min().x(), box.max().x()),
                                            range(box.min().y(), box.max().y()),
                                            machine.name(),
                                            Numbers.plain(most.x(), 0),
                                            Numbers.plain(most.y(), 0)));
                }
            }
        }
        return beyond;
    }

    private static Box boxOf(Item item) {
        if (item instanceof Item.Rapid rapid) {
            return new Box(rapid.to(), rapid.to());
        }
        if (item instanceof Item.TwoPlane both) {
            Item.Way lower = both.lower();
            Item.Way upper = both.upper();
            return Box.around(
                    List.of(Box.of(lower.from(), lower.to()), Box.of(upper.from(), upper.to())));
        }
        return item instanceof Item.Feed feed ? feed.segment().box() : null;
    }
}
