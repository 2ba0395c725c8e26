package dev.oleander.drawing.letter;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/**
 * The directory of a font file, looked at before anything reads the tables: TrueType and OpenType
 * as they are, WOFF 1 unpacked.
 */
final class FontTables {

    /** Bytes; larger files are no fonts for signs. */
    static final int LARGEST = 8 << 20;

    private static final int WOFF = 0x774f4646;
    private static final int WOFF2 = 0x774f4632;
    private static final int COLLECTION = 0x74746366;
    private static final int TRUE_TYPE = 0x00010000;
    private static final int TRUE = 0x74727565;
    private static final int OPEN_TYPE = 0x4f54544f;
    private static final int HEAD = 12;
    private static final int ENTRY = 16;
    private static final int PACKED_HEAD = 44;
    private static final int PACKED_ENTRY = 20;
    private static final int MOST_TABLES = 200;

    private FontTables() {}

    /**
     * The file as an sfnt whose tables lie within it.
     *
     * @param name of the file, for sentences
     * @throws LetterException when it is none
     */
    static byte[] checked(byte[] file, String name) {
        if (file.length > LARGEST) {
            throw new LetterException(
                    "%s has %s bytes; a font has at most %s.",
                    name, grouped(file.length), grouped(LARGEST));
        }
        if (file.length < HEAD) {
            throw new LetterException("%s has %d bytes; it is no font.", name, file.length);
        }
        int kind = ByteBuffer.wrap(file).getInt(0);
        return switch (kind) {
            case WOFF -> plain(unpacked(file, name), name);
            case TRUE_TYPE, TRUE, OPEN_TYPE -> plain(file, name);
            case WOFF2 ->
                    throw new LetterException(
                            "%s is packed as WOFF 2; TTF, OTF and WOFF 1 are read.", name);
            case COLLECTION ->
                    throw new LetterException(
                            "%s is a collection of fonts; bring one of them as TTF or OTF.", name);
            default ->
                    throw new LetterException("%s is no font: TTF, OTF and WOFF 1 are read.", name);
        };
    }

    /** Whether its outlines are cubic curves of a CFF table. */
    static boolean isOpenType(byte[] sfnt) {
        return ByteBuffer.wrap(sfnt).getInt(0) == OPEN_TYPE;
    }

    private static byte[] plain(byte[] file, String name) {
        ByteBuffer in = ByteBuffer.wrap(file);
        int tables = in.getShort(4) & 0xffff;
        requireDirectory(file, name, tables, HEAD + (long) ENTRY * tables);
        for (int i = 0; i < tables; i++) {
            int at = HEAD + ENTRY * i;
            String tag = new String(file, at, 4, StandardCharsets.ISO_8859_1);
            long end =
                    Integer.toUnsignedLong(in.getInt(at + 8))
                            + Integer.toUnsignedLong(in.getInt(at + 12));
            if (end > file.length) {
                throw new LetterException(
                        "%s ends at byte %s; its table %s should reach %s.",
                        name, grouped(file.length), tag.strip(), grouped(end));
            }
        }
        return file;
    }

    private static void requireDirectory(byte[] file, String name, int tables, long end) {
        if (tables == 0 || tables > MOST_TABLES || end > file.length) {
            throw new LetterException(
                    "%s says that it has %d tables; it is no font.", name, tables);
        }
    }

    private record Table(int tag, byte[] bytes) {}

    private static byte[] unpacked(byte[] file, String name) {
        ByteBuffer in = ByteBuffer.wrap(file);
        if (file.length < PACKED_HEAD) {
            throw new LetterException("%s ends within its head.", name);
        }
        int count = in.getShort(12) & 0xffff;
        requireDirectory(file, name, count, PACKED_HEAD + (long) PACKED_ENTRY * count);
        List<Table> tables = new ArrayList<>();
        long size = 0;
        for (int i = 0; i < count; i++) {
            int at = PACKED_HEAD + PACKED_ENTRY * i;
            String tag = new String(file, at, 4, StandardCharsets.ISO_8859_1);
            long from = Integer.toUnsignedLong(in.getInt(at + 4));
            long packed = Integer.toUnsignedLong(in.getInt(at + 8));
            long whole = Integer.toUnsignedLong(in.getInt(at + 12));
            size += whole;
            if (from + packed > file.length || packed > whole || size > LARGEST) {
                throw new LetterException(
                        "%s ends at byte %s; its table %s should reach %s.",
                        name,
                        grouped(file.length),
                        tag.strip(),
                        grouped(Math.max(from + packed, whole)));
            }
            tables.add(
                    new Table(
                            in.getInt(at),
                            bytes(file, (int) from, (int) packed, (int) whole, name)));
        }
        return together(in.getInt(4), tables);
    }

    private static byte[] bytes(byte[] file, int from, int packed, int whole, String name) {
        byte[] bytes = new byte[whole];
        if (packed == whole) {
            System.arraycopy(file, from, bytes, 0, whole);
            return bytes;
        }
        Inflater inflater = new Inflater();
        try {
            inflater.setInput(file, from, packed);
            int got = inflater.inflate(bytes);
            if (got != whole) {
                throw new LetterException("%s holds %d bytes where it says %d.", name, got, whole);
            }
        } catch (DataFormatException broken) {
            throw new LetterException("%s cannot be unpacked.", name);
        } finally {
            inflater.end();
        }
        return bytes;
    }

    private static byte[] together(int flavour, List<Table> tables) {
        int offset = HEAD + ENTRY * tables.size();
        ByteBuffer head = ByteBuffer.allocate(offset);
        head.putInt(flavour).putShort((short) tables.size()).putShort((short) 0);
        head.putShort((short) 0).putShort((short) 0);
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (Table table : tables) {
            head.putInt(table.tag()).putInt(0).putInt(offset + body.size());
            head.putInt(table.bytes().length);
            body.writeBytes(table.bytes());
            body.writeBytes(new byte[-table.bytes().length & 3]);
        }
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        all.writeBytes(head.array());
        all.writeBytes(body.toByteArray());
        return all.toByteArray();
    }

    private static String grouped(long bytes) {
        return String.format(Locale.ROOT, "%,d", bytes);
    }
}
