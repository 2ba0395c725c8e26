package dev.oleander.dialect;

import dev.oleander.dialect.BlockLexer.Word;
import dev.oleander.dialect.ReadBack.Problem;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads programs of one dialect, as its controller would. */
public final class DialectReader {

    /** An arc's ends may lie this many steps of the coordinates off its circle. */
    private static final double STEPS_OFF = 4;

    private final Dialect dialect;
    private final List<EventPattern> patterns = new ArrayList<>();

    public DialectReader(Dialect dialect) {
        this.dialect = dialect;
        for (EventKind kind : EventKind.values()) {
            patterns.add(new EventPattern(kind, dialect.events().get(kind.word())));
        }
    }

    /** Everything that could be read, and what could not, with its line and column. */
    public ReadBack read(String text) {
        return new Run().read(text);
    }

    private final class Run {
        private final BlockLexer lexer = new BlockLexer(dialect.comment());
        private final List<Item> items = new ArrayList<>();
        private final List<Integer> lineOfItem = new ArrayList<>();
        private final List<Problem> problems = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private String motion = "";
        private double feed;
        private boolean on;
        private int line;

        ReadBack read(String text) {
            for (String raw : text.split("\r\n|\r|\n")) {
                line++;
                boolean mark = raw.isBlank() || raw.strip().equals("%");
                if (!mark && !raw.startsWith("O")) {
                    block(lexer.words(raw, line, problems));
                }
            }
            return new ReadBack(new Program(items), lineOfItem, problems);
        }

        private void block(List<Word> all) {
            char number = dialect.numbering().address().charAt(0);
            List<Word> unnumbered = all.stream().filter(w -> w.address() != number).toList();
            for (EventPattern pattern : patterns) {
                Optional<Map<String, Double>> values = pattern.match(unnumbered);
                if (values.isPresent() && !unnumbered.isEmpty()) {
                    event(pattern.kind(), values.get());
                    return;
                }
            }
            List<Word> words =
                    unnumbered.stream()
                            .filter(w -> !dialect.preparatory().contains(w.text()))
                            .toList();
            if (!words.isEmpty()) {
                move(words);
            }
        }

        private void event(EventKind kind, Map<String, Double> values) {
            if (kind == EventKind.PIERCE || kind == EventKind.MARK_ON) {
                on = true;
            } else if (kind == EventKind.PROCESS_OFF) {
                on = false;
            }
            add(new Item.Event(kind, values, Origin.FRAME));
        }

        private void move(List<Word> words) {
            double x = at.x();
            double y = at.y();
            Double i = null;
            Double j = null;
            for (Word word : words) {
                switch (word.address()) {
                    case 'X' -> x = word.value();
                    case 'Y' -> y = word.value();
                    case 'I' -> i = word.value();
                    case 'J' -> j = word.value();
                    case 'F' -> feed = word.value();
                    case 'G' -> takeMotion(word);
                    default -> problem(word, "\"%s\" is not known here.".formatted(word.text()));
                }
            }
            Point to = new Point(x, y);
            if (to.equals(at)) {
                problem(words.get(0), "the block moves nowhere.");
            } else if (motion.equals(dialect.motion().rapid())) {
                add(new Item.Rapid(at, to, Origin.FRAME));
            } else if (motion.equals(dialect.motion().line())) {
                feed(new Line(at, to), words);
            } else if (!motion.isEmpty()) {
                arc(to, i, j, words);
            } else {
                problem(words.get(0), "no motion word was given yet.");
            }
            at = to;
        }

        private void takeMotion(Word word) {
            Dialect.Motion known = dialect.motion();
            List<String> motions =
                    List.of(known.rapid(), known.line(), known.clockwise(), known.anticlockwise());
            if (motions.contains(word.text())) {
                motion = word.text();
            } else {
                problem(word, "\"%s\" is not known.".formatted(word.text()));
            }
        }

        private void arc(Point to, Double i, Double j, List<Word> words) {
            if (i == null || j == null) {
                problem(words.get(0), "an arc needs I and J.");
                return;
            }
            Point given = new Point(i, j);
            boolean relative = dialect.arcs().centre() == Dialect.CentreForm.RELATIVE;
            Point centre = relative ? at.plus(given) : given;
            double off = Math.abs(centre.distance(at) - centre.distance(to));
            double allowed = STEPS_OFF * dialect.resolution();
            if (off > allowed) {
                problem(
                        words.get(0),
                        "start and end of the arc lie %s mm apart in radius, allowed are %s mm."
                                .formatted(Numbers.plain(off, 4), Numbers.plain(allowed, 4)));
                return;
            }
            boolean left = motion.equals(dialect.motion().anticlockwise());
            feed(new Arc(at, to, Math.tan(sweep(centre, to, left) / 4)), words);
        }

        private double sweep(Point centre, Point to, boolean left) {
            Point a = at.minus(centre);
            Point b = to.minus(centre);
            double turn = Math.atan2(a.cross(b), a.dot(b));
            if (left) {
                return turn <= 0 ? turn + 2 * Math.PI : turn;
            }
            return turn >= 0 ? turn - 2 * Math.PI : turn;
        }

        private void feed(Segment segment, List<Word> words) {
            if (feed <= 0) {
                problem(words.get(0), "no feed was given yet.");
                return;
            }
            add(new Item.Feed(segment, feed, on, Origin.FRAME));
        }

        private void add(Item item) {
            items.add(item);
            lineOfItem.add(line);
        }

        private void problem(Word word, String sentence) {
            problems.add(new Problem(line, word.column(), sentence));
        }
    }
}
