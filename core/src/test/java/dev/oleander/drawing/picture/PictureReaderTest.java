package dev.oleander.drawing.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PictureReaderTest {

    private static BufferedImage image(int type) {
        BufferedImage image = new BufferedImage(40, 30, type);
        for (int y = 0; y < 30; y++) {
            for (int x = 0; x < 40; x++) {
                image.setRGB(x, y, x < 20 ? 0xff141414 : 0xffffffff);
            }
        }
        return image;
    }

    private static byte[] file(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(image, format, out)).isTrue();
        return out.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg", "bmp", "gif"})
    void picturesOfEveryKindAreRead(String format) throws IOException {
        Picture picture = PictureReader.read(file(image(BufferedImage.TYPE_INT_RGB), format));
        assertThat(picture.width()).isEqualTo(40);
        assertThat(picture.height()).isEqualTo(30);
        assertThat(picture.at(5, 5)).isBetween(18, 22);
        assertThat(picture.at(35, 5)).isBetween(253, 255);
    }

    /** Asked for as a colour, a level of 20 of a grey picture would be 79. */
    @Test
    void greyLevelsAreThoseOfTheRaster() throws IOException {
        BufferedImage grey = new BufferedImage(4, 2, BufferedImage.TYPE_BYTE_GRAY);
        grey.getRaster().setSample(1, 1, 0, 20);
        assertThat(PictureReader.read(file(grey, "png")).at(1, 1)).isEqualTo(20);
        BufferedImage fine = new BufferedImage(4, 2, BufferedImage.TYPE_USHORT_GRAY);
        fine.getRaster().setSample(1, 1, 0, 20 * 257);
        assertThat(PictureReader.read(file(fine, "png")).at(1, 1)).isEqualTo(20);
    }

    @Test
    void whatIsTransparentIsPaper() throws IOException {
        BufferedImage image = new BufferedImage(2, 1, BufferedImage.TYPE_INT_ARGB);
        image.setRGB(0, 0, 0x00000000);
        image.setRGB(1, 0, 0xff000000);
        Picture picture = PictureReader.read(file(image, "png"));
        assertThat(picture.at(0, 0)).isEqualTo(255);
        assertThat(picture.at(1, 0)).isZero();
    }

    @Test
    void colouredInkCountsByItsLight() throws IOException {
        BufferedImage image = new BufferedImage(3, 1, BufferedImage.TYPE_3BYTE_BGR);
        image.setRGB(0, 0, 0xff0000);
        image.setRGB(1, 0, 0x00ff00);
        image.setRGB(2, 0, 0x0000ff);
        Picture picture = PictureReader.read(file(image, "png"));
        assertThat(new int[] {picture.at(0, 0), picture.at(1, 0), picture.at(2, 0)})
                .containsExactly(76, 150, 29);
    }

    @Test
    void whatIsNoPictureIsSaid() throws IOException {
        byte[] png = file(image(BufferedImage.TYPE_INT_RGB), "png");
        assertThatThrownBy(() -> PictureReader.read(new byte[40]))
                .isInstanceOf(PictureException.class)
                .hasMessageContaining("no picture that can be read");
        byte[] cut = Arrays.copyOf(png, png.length / 2);
        assertThatThrownBy(() -> PictureReader.read(cut))
                .isInstanceOf(PictureException.class)
                .hasMessageContaining("ends after");
        byte[] jpg = file(image(BufferedImage.TYPE_INT_RGB), "jpg");
        assertThatThrownBy(() -> PictureReader.read(Arrays.copyOf(jpg, jpg.length * 3 / 4)))
                .isInstanceOf(PictureException.class);
    }

    /** Whatever happens to a file: it is read, or refused by a sentence. */
    @Test
    void damagedFilesAreRefusedByASentence() throws IOException {
        Random random = new Random(11);
        for (String format : new String[] {"png", "jpg", "bmp", "gif"}) {
            byte[] file = file(image(BufferedImage.TYPE_INT_RGB), format);
            for (int i = 0; i < Integer.getInteger("mutations", 2_500); i++) {
                byte[] damaged = damaged(file, random);
                try {
                    assertThat(PictureReader.read(damaged).width()).isPositive();
                } catch (PictureException told) {
                    assertThat(told.getMessage()).endsWith(".").hasSizeGreaterThan(20);
                }
            }
        }
    }

    private static byte[] damaged(byte[] file, Random random) {
        byte[] damaged =
                random.nextInt(4) == 0
                        ? Arrays.copyOf(file, random.nextInt(file.length))
                        : file.clone();
        for (int k = random.nextInt(6); k >= 0 && damaged.length > 0; k--) {
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
        }
        return damaged;
    }
}
