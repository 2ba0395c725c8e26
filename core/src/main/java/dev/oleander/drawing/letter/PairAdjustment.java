package dev.oleander.drawing.letter;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;

/**
 * Kerning of the table GPOS of OpenType: pair adjustment, lookup type 2 in formats 1 and 2, also
 * where an extension (type 9) leads to it. Of a pair the first subtable of a lookup that has it
 * counts; lookups add up.
 */
final class PairAdjustment {

    private static final int PAIRS = 2;
    private static final int EXTENSION = 9;
    private static final int ADVANCE = 0x0004;
    private static final int MOST = 4096;

    private final ByteBuffer table;
    private final List<List<Subtable>> lookups = new ArrayList<>();

    /** How much the first of two letters is made wider; empty: it has nothing for them. */
    private interface Subtable {
        OptionalInt of(int first, int second);
    }

    /**
     * @param bytes of the table
     * @throws IndexOutOfBoundsException when it ends before what it names
     */
    PairAdjustment(byte[] bytes) {
        this.table = ByteBuffer.wrap(bytes);
        int features = unsigned(6);
        int all = unsigned(8);
        for (int lookup : lookups(features)) {
            lookup(all + unsigned(all + 2 + 2 * lookup));
        }
    }

    /** Whether it has any pair adjustment that is called kerning. */
    boolean kerns() {
        return lookups.stream().anyMatch(l -> !l.isEmpty());
    }

    int between(int first, int second) {
        int sum = 0;
        for (List<Subtable> lookup : lookups) {
            sum +=
                    lookup.stream()
                            .map(s -> s.of(first, second))
                            .filter(OptionalInt::isPresent)
                            .findFirst()
                            .map(OptionalInt::getAsInt)
                            .orElse(0);
        }
        return sum;
    }

    private int unsigned(int at) {
        return table.getShort(at) & 0xffff;
    }

    /** Of all features that are called kern. */
    private Set<Integer> lookups(int features) {
        Set<Integer> lookups = new TreeSet<>();
        int count = unsigned(features);
        for (int i = 0; i < count; i++) {
            int record = features + 2 + 6 * i;
            if (table.getInt(record) == 0x6b65726e) {
                int feature = features + unsigned(record + 4);
                int many = unsigned(feature + 2);
                for (int j = 0; j < many; j++) {
                    lookups.add(unsigned(feature + 4 + 2 * j));
                }
            }
        }
        return lookups;
    }

    private void lookup(int at) {
        int type = unsigned(at);
        int count = Math.min(MOST, unsigned(at + 4));
        List<Subtable> subtables = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int subtable = at + unsigned(at + 6 + 2 * i);
            int of = type;
            if (type == EXTENSION) {
                of = unsigned(subtable + 2);
                subtable += table.getInt(subtable + 4);
            }
            if (of == PAIRS) {
                subtables.add(pairs(subtable));
            }
        }
        lookups.add(subtables);
    }

    private Subtable pairs(int at) {
        int format = unsigned(at);
        Map<Integer, Integer> covered = coverage(at + unsigned(at + 2));
        int firstFormat = unsigned(at + 4);
        int size = 2 * (Integer.bitCount(firstFormat) + Integer.bitCount(unsigned(at + 6)));
        // values before the advance in the record of the first letter
        int advance = 2 * Integer.bitCount(firstFormat & (ADVANCE - 1));
        boolean has = (firstFormat & ADVANCE) != 0;
        if (!has) {
            return (first, second) -> OptionalInt.empty();
        }
        return format == 1
                ? singles(at, covered, size, advance)
                : classes(at, covered, size, advance);
    }

    /** For each first letter a set of seconds. */
    private Subtable singles(int at, Map<Integer, Integer> covered, int size, int advance) {
        Map<Long, Integer> values = new HashMap<>();
        covered.forEach(
                (glyph, index) -> {
                    int set = at + unsigned(at + 10 + 2 * index);
                    int count = unsigned(set);
                    for (int i = 0; i < count; i++) {
                        int record = set + 2 + i * (2 + size);
                        values.put(
                                pair(glyph, unsigned(record)),
                                (int) table.getShort(record + 2 + advance));
                    }
                });
        return (first, second) -> {
            Integer value = values.get(pair(first, second));
            return value == null ? OptionalInt.empty() : OptionalInt.of(value);
        };
    }

    private static long pair(int first, int second) {
        return (long) first << 32 | second;
    }

    /** Letters in classes, for each pair of which there is a value. */
    private Subtable classes(int at, Map<Integer, Integer> covered, int size, int advance) {
        Map<Integer, Integer> firsts = classes(at + unsigned(at + 8));
        Map<Integer, Integer> seconds = classes(at + unsigned(at + 10));
        int columns = unsigned(at + 14);
        return (first, second) -> {
            if (!covered.containsKey(first)) {
                return OptionalInt.empty();
            }
            int row = firsts.getOrDefault(first, 0);
            int column = seconds.getOrDefault(second, 0);
            int record = at + 16 + (row * columns + column) * size;
            return OptionalInt.of(table.getShort(record + advance));
        };
    }

    /** Index by letter. */
    private Map<Integer, Integer> coverage(int at) {
        Map<Integer, Integer> covered = new HashMap<>();
        int count = unsigned(at + 2);
        for (int i = 0; i < count; i++) {
            if (unsigned(at) == 1) {
                covered.put(unsigned(at + 4 + 2 * i), i);
            } else {
                int range = at + 4 + 6 * i;
                int from = unsigned(range);
                for (int glyph = from; glyph <= unsigned(range + 2); glyph++) {
                    covered.put(glyph, unsigned(range + 4) + glyph - from);
                }
            }
        }
        return covered;
    }

    /** Class by letter; what is not in it is of class 0. */
    private Map<Integer, Integer> classes(int at) {
        Map<Integer, Integer> classes = new HashMap<>();
        if (unsigned(at) == 1) {
            int from = unsigned(at + 2);
            int count = unsigned(at + 4);
            for (int i = 0; i < count; i++) {
                classes.put(from + i, unsigned(at + 6 + 2 * i));
            }
            return classes;
        }
        int count = unsigned(at + 2);
        for (int i = 0; i < count; i++) {
            int range = at + 4 + 6 * i;
            for (int glyph = unsigned(range); glyph <= unsigned(range + 2); glyph++) {
                classes.put(glyph, unsigned(range + 4));
            }
        }
        return classes;
    }
}
