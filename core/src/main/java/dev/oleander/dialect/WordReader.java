package dev.oleander.dialect;

import dev.oleander.dialect.EventPattern.Fixed;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Reads blocks of words as their controller would: ISO 6983. */
final class WordReader implements LineReader {

    private static final int MOST_PECKS = 1000;
    private static final String NO_PECKS =
            "pecks must be above 0, and at most %d of them go to the ground.".formatted(MOST_PECKS);

    private final Dialect dialect;
    private final ReadItems items;
    private final BlockScanner block;
    private final char number;
    private boolean incremental;
    private final boolean[] beginsEvent = new boolean[128];
    private final Map<Fixed, List<EventPattern>> patterns = new HashMap<>();
    private final List<EventPattern> valuesOnly = new ArrayList<>();
    private final Set<Fixed> preparatory = new HashSet<>();
    private final Fixed rapid;
    private final Fixed line;
    private final Fixed clockwise;
    private final Fixed anticlockwise;
    private final Fixed toIncremental;
    private final Fixed toAbsolute;
    private final char[] letters;
    private final char depth;
    private final char rotary;
    private final char upperX;
    private final char upperY;

    /** The motion that goes on; null before the first. */
    private final List<EventPattern> frames = new ArrayList<>();

    private final List<EventPattern> cycles = new ArrayList<>();
    private Fixed motion;

    private double feed;

    // words of the present block
    private Double i;
    private Double j;
    private Double r;

    WordReader(Dialect dialect, ReadItems items) {
        this.dialect = dialect;
        this.items = items;
        this.block = new BlockScanner(dialect);
        String address = dialect.numbering().address();
        this.number = address.isEmpty() ? 0 : address.charAt(0);
        this.incremental = dialect.positions() == Dialect.Positions.INCREMENTAL;
        for (EventKind kind : EventKind.values()) {
            addPattern(kind, dialect.events().get(kind.word()));
        }
        dialect.preparatory().forEach(word -> preparatory.add(fixed(word)));
        Stream.concat(dialect.header().stream(), dialect.footer().stream())
                .map(line -> new EventPattern(EventKind.COMMENT, line, dialect))
                .filter(line -> line.firstValue() != 0 && !line.fixed().isEmpty())
                .forEach(frames::add);
        if (dialect.cycles() != null) {
            cycles.add(new EventPattern(EventKind.COMMENT, dialect.cycles().drill(), dialect));
            cycles.add(new EventPattern(EventKind.COMMENT, dialect.cycles().peck(), dialect));
            preparatory.add(fixed(dialect.cycles().end()));
        }
        this.rapid = fixed(dialect.motion().rapid());
        this.line = fixed(dialect.motion().line());
        this.clockwise = fixed(dialect.motion().clockwise());
        this.anticlockwise = fixed(dialect.motion().anticlockwise());
        Dialect.Subprograms subs = dialect.subprograms();
        this.toIncremental = subs == null ? null : fixed(subs.incremental());
        this.toAbsolute = subs == null ? null : fixed(subs.absolute());
        Dialect.Addresses a = dialect.addresses();
        this.depth = a.z().charAt(0);
        this.rotary = a.a().charAt(0);
        this.upperX = a.u().charAt(0);
        this.upperY = a.v().charAt(0);
        this.letters = (a.x() + a.y() + a.i() + a.j() + a.r() + a.f()).toCharArray();
    }

    private void addPattern(EventKind kind, String template) {
        if (template == null || template.isBlank()) {
            return;
        }
        EventPattern pattern = new EventPattern(kind, template, dialect);
        if (pattern.fixed().isEmpty() && pattern.firstValue() == 0) {
            return;
        }
        for (Fixed word : pattern.fixed()) {
            beginsEvent[word.address()] = true;
            patterns.computeIfAbsent(word, w -> new ArrayList<>()).add(pattern);
        }
        if (pattern.fixed().isEmpty()) {
            beginsEvent[pattern.firstValue()] = true;
            valuesOnly.add(pattern);
        }
    }

    private static Fixed fixed(String word) {
        return new Fixed(word.charAt(0), Double.parseDouble(word.substring(1)));
    }

    @Override
    public void line(String text) {
        if (isMark(text)) {
            return;
        }
        int wrong = block.scan(text);
        if (wrong >= 0) {
            items.problem(
                    wrong + 1,
                    "\"%s\" is not a word."
                            .formatted(text.substring(wrong, Math.min(text.length(), wrong + 12))));
            return;
        }
        int first = block.count() > 0 && block.address(0) == number ? 1 : 0;
        if (block.count() > first && !isEvent(first) && !isFrame(first) && !isHole(first)) {
            move(first);
        }
    }

    /** A hole in one block: what it stands for is made of it. */
    private boolean isHole(int first) {
        for (EventPattern cycle : cycles) {
            Optional<Map<String, Double>> said = cycle.match(block, first);
            if (said.isPresent()) {
                hole(said.get(), block.column(first));
                return true;
            }
        }
        return false;
    }

    /** Where places are given from where the tool is, the ground is given from where it begins. */
    private void hole(Map<String, Double> values, int column) {
        Point base = incremental ? items.at() : Point.ORIGIN;
        Point to = base.plus(new Point(values.get("x"), values.get("y")));
        double high = items.pose().z();
        double low = values.get("low") + (incremental ? high : 0);
        double deep = values.get("z") + (incremental ? low : 0);
        Double peck = values.get("peck");
        if (peck != null && !(low - deep < MOST_PECKS * peck && values.get("first") > 0)) {
            items.problem(column, NO_PECKS);
            return;
        }
        if (!to.equals(items.at())) {
            items.towards(items.pose()).rapid(to);
            items.goTo(to);
        }
        List<Double> pecks =
                peck == null ? List.of(deep) : Drilled.pecks(low, values.get("first"), peck, deep);
        upright(to, low);
        double before = low;
        for (double depth : pecks) {
            if (before < low) {
                upright(to, low);
                upright(to, before + dialect.cycles().again());
            }
            items.towards(new Pose(depth, items.pose().turn()))
                    .line(to, values.get("feed"), column);
            before = depth;
        }
        upright(to, high);
        motion = null;
    }

    private void upright(Point at, double z) {
        items.towards(new Pose(z, items.pose().turn())).rapid(at);
    }

    /** Lines of the header and the footer with values that somebody chose for a release. */
    private boolean isFrame(int first) {
        return frames.stream().anyMatch(frame -> frame.match(block, first).isPresent());
    }

    /** Lines that only frame the program: its beginning and its number. */
    private static boolean isMark(String text) {
        return text.isBlank() || text.startsWith("%") || text.startsWith("O");
    }

    private boolean isEvent(int first) {
        for (int w = first; w < block.count(); w++) {
            char address = block.address(w);
            if (beginsEvent[address]) {
                List<EventPattern> known =
                        patterns.getOrDefault(new Fixed(address, block.plain(w)), List.of());
                if (isOneOf(known, first) || isOneOf(valuesOnly, first)) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean isOneOf(List<EventPattern> known, int first) {
        for (EventPattern pattern : known) {
            Optional<Map<String, Double>> values = pattern.match(block, first);
            if (values.isPresent()) {
                items.event(pattern.kind(), values.get());
                return true;
            }
        }
        return false;
    }

    private void move(int first) {
        Point at = items.at();
        double x = at.x();
        double y = at.y();
        i = null;
        j = null;
        r = null;
        Point lean = items.lean();
        double z = items.pose().z();
        double turn = items.pose().turn();
        boolean moves = false;
        boolean understood = true;
        for (int w = first; w < block.count(); w++) {
            char address = block.address(w);
            if (address == letters[0]) {
                x = (incremental ? x : 0) + block.value(w, dialect.words().coordinate());
                moves = true;
            } else if (address == letters[1]) {
                y = (incremental ? y : 0) + block.value(w, dialect.words().coordinate());
                moves = true;
            } else if (address == depth && dialect.motion().depth()) {
                z = (incremental ? z : 0) + block.value(w, dialect.words().coordinate());
                moves = true;
            } else if (address == rotary && dialect.motion().rotary()) {
                turn = (incremental ? turn : 0) + block.value(w, dialect.words().coordinate());
                moves = true;
            } else if (address == upperX && dialect.motion().twoPlanes()) {
                lean = new Point(block.value(w, dialect.words().coordinate()), lean.y());
                moves = true;
            } else if (address == upperY && dialect.motion().twoPlanes()) {
                lean = new Point(lean.x(), block.value(w, dialect.words().coordinate()));
                moves = true;
            } else if (!takesWord(w, address)) {
                understood = false;
            }
        }
        items.towards(new Pose(z, turn));
        if (moves && !lean.equals(items.lean())) {
            lean(new Point(x, y), lean, block.column(first));
        } else if (moves) {
            go(new Point(x, y), block.column(first));
        } else if (understood && (i != null || j != null || r != null)) {
            items.problem(block.column(first), "an arc needs its end.");
        }
    }

    private boolean takesWord(int w, char address) {
        if (address == letters[2]) {
            i = block.value(w, dialect.words().centre());
        } else if (address == letters[3]) {
            j = block.value(w, dialect.words().centre());
        } else if (address == letters[4]) {
            r = block.value(w, dialect.words().radius());
        } else if (address == letters[5]) {
            feed = block.value(w, dialect.words().feed());
        } else {
            return takesMotion(w, address);
        }
        return true;
    }

    private boolean takesMotion(int w, char address) {
        Fixed word = new Fixed(address, block.plain(w));
        if (word.equals(toIncremental) || word.equals(toAbsolute)) {
            incremental = word.equals(toIncremental);
            return true;
        }
        if (word.equals(rapid)
                || word.equals(line)
                || word.equals(clockwise)
                || word.equals(anticlockwise)) {
            motion = word;
            return true;
        }
        if (preparatory.contains(word)) {
            return true;
        }
        items.problem(block.column(w), "\"%s\" is not known here.".formatted(block.text(w)));
        return false;
    }

    private void lean(Point to, Point lean, int column) {
        if (line.equals(motion)) {
            items.twoPlane(to, lean, feed, column);
        } else {
            items.problem(column, "only a line moves the guides apart.");
        }
        items.goTo(to);
    }

    private void go(Point to, int column) {
        if (motion == null) {
            items.problem(column, "no motion word was given yet.");
        } else if (to.equals(items.at()) && !items.changesPose()) {
            items.problem(column, "the block moves nowhere.");
        } else if (motion.equals(rapid)) {
            items.rapid(to);
        } else if (motion.equals(line)) {
            items.line(to, feed, column);
        } else {
            arc(to, column);
        }
        items.goTo(to);
    }

    private void arc(Point to, int column) {
        boolean left = motion.equals(anticlockwise);
        if (dialect.arcs().by() == Dialect.By.RADIUS) {
            if (r == null) {
                items.problem(column, "an arc needs " + letters[4] + ".");
            } else {
                items.arcByRadius(to, r, left, feed, column);
            }
            return;
        }
        if (i == null || j == null) {
            items.problem(column, "an arc needs %s and %s.".formatted(letters[2], letters[3]));
            return;
        }
        Point given = new Point(i, j);
        boolean relative = dialect.arcs().centre() == Dialect.CentreForm.RELATIVE;
        items.arc(to, relative ? items.at().plus(given) : given, left, feed, column);
    }
}
