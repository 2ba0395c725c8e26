package dev.oleander.drawing.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.Deflater;
import org.junit.jupiter.api.Test;

/** Fonts that are read, and files that are none. */
class FontFileTest {

    private static final byte[] BLOCK = LetterCases.bytes("slip_block.ttf");

    @Test
    void capitalsAreMeasuredByTheirOutline() {
        // its table of metrics says 650
        assertThat(LetterCases.BLOCK.capHeight()).isEqualTo(700);
        assertThat(LetterCases.BLOCK.names().family()).isEqualTo("Slip Block");
        assertThat(LetterCases.BLOCK.names().sha256()).hasSize(64);
    }

    @Test
    void impliedPointsAreExact() {
        Glyph o = LetterCases.BLOCK.glyph('o').orElseThrow();
        assertThat(o.outlines()).hasSize(2);
        assertThat(o.outlines().get(0)).allMatch(s -> s.points().size() == 3);
        for (int i = 0; i < o.outlines().get(0).size(); i++) {
            Span span = o.outlines().get(0).get(i);
            Span next = o.outlines().get(0).get((i + 1) % o.outlines().get(0).size());
            assertThat(span.end()).isEqualTo(next.start());
            // half way between the points off the outline
            assertThat(
                            span.points()
                                    .get(1)
                                    .plus(next.points().get(1))
                                    .times(0.5)
                                    .distance(span.end()))
                    .isLessThan(1e-12);
        }
    }

    /** The same tables, each packed. */
    private static byte[] packed(byte[] sfnt) {
        ByteBuffer in = ByteBuffer.wrap(sfnt);
        int tables = in.getShort(4);
        int at = 44 + 20 * tables;
        ByteBuffer head = ByteBuffer.allocate(at);
        head.putInt(0x774f4646).putInt(in.getInt(0)).putInt(0).putShort((short) tables);
        head.position(44);
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (int i = 0; i < tables; i++) {
            int entry = 12 + 16 * i;
            byte[] table =
                    Arrays.copyOfRange(
                            sfnt,
                            in.getInt(entry + 8),
                            in.getInt(entry + 8) + in.getInt(entry + 12));
            Deflater deflater = new Deflater();
            deflater.setInput(table);
            deflater.finish();
            byte[] out = new byte[table.length + 100];
            int size = deflater.deflate(out);
            deflater.end();
            byte[] kept = size < table.length ? Arrays.copyOf(out, size) : table;
            head.putInt(in.getInt(entry)).putInt(at + body.size()).putInt(kept.length);
            head.putInt(table.length).putInt(0);
            body.writeBytes(kept);
        }
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        all.writeBytes(head.array());
        all.writeBytes(body.toByteArray());
        return all.toByteArray();
    }

    @Test
    void packedFontsAreTheSame() {
        TypeFace unpacked = FontFile.read(packed(BLOCK), "block.woff");
        for (int code : "AVo8\u00e9".codePoints().toArray()) {
            assertThat(unpacked.glyph(code)).isEqualTo(LetterCases.BLOCK.glyph(code));
        }
        byte[] cut = Arrays.copyOf(packed(BLOCK), 400);
        assertThatThrownBy(() -> FontFile.read(cut, "block.woff"))
                .isInstanceOf(LetterException.class)
                .hasMessageContaining("block.woff ends at byte 400");
    }

    @Test
    void whatIsNoFontIsSaid() {
        assertThatThrownBy(() -> FontFile.read("hello, world".getBytes(), "a.txt"))
                .hasMessage("a.txt is no font: TTF, OTF and WOFF 1 are read.");
        assertThatThrownBy(() -> FontFile.read(new byte[3], "a.ttf"))
                .hasMessageContaining("has 3 bytes");
        assertThatThrownBy(() -> FontFile.read(Arrays.copyOf(BLOCK, 900), "names.ttf"))
                .hasMessageMatching("names.ttf ends at byte 900; its table \\S+ should reach .*");
        assertThatThrownBy(() -> FontFile.read(new byte[FontTables.LARGEST + 1], "big.ttf"))
                .hasMessageContaining("a font has at most 8,388,608");
    }

    /** Whatever is broken in a file, people are told by a sentence, and in time. */
    @Test
    void brokenFilesAreRefusedWithASentenceOrRead() {
        Random random = new Random(24);
        int read = 0;
        for (int i = 0; i < Integer.getInteger("mutations", 3_000); i++) {
            byte[] broken = BLOCK.clone();
            for (int n = 0; n <= random.nextInt(6); n++) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
            }
            try {
                TypeFace face = FontFile.read(broken, "broken.ttf");
                TextLayout.of(face, LetterCases.plain("AVo8\u00e9", 10));
                read++;
            } catch (LetterException said) {
                assertThat(said.getMessage()).isNotBlank();
            }
        }
        assertThat(read).isPositive();
    }

    @Test
    void kerningComesFromTheFont() {
        Glyph a = LetterCases.BLOCK.glyph('A').orElseThrow();
        Glyph v = LetterCases.BLOCK.glyph('V').orElseThrow();
        assertThat(LetterCases.BLOCK.kerning(a, v)).isCloseTo(-120, within(1e-9));
    }
}
