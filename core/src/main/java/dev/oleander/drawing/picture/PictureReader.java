package dev.oleander.drawing.picture;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;

/**
 * Reads PNG, JPEG, BMP and GIF. The size is looked at before anything is decoded; levels come from
 * the raster itself, since colours asked for one by one are converted between curves of tone and
 * move every edge.
 */
public final class PictureReader {

    /** Pixels of a picture at most. */
    public static final int MOST_PIXELS = 60_000_000;

    private static final double RED = 0.299;
    private static final double GREEN = 0.587;
    private static final double BLUE = 0.114;

    private PictureReader() {}

    /** Pixels of a picture, before it is read. */
    public record Size(int width, int height) {

        public long pixels() {
            return (long) width * height;
        }
    }

    /**
     * The size of a picture that is not read yet.
     *
     * @throws PictureException when it is none, or too large
     */
    public static Size sizeOf(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = reader(in);
            try {
                reader.setInput(in, true, true);
                return size(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException damaged) {
            throw told(damaged);
        }
    }

    /**
     * Reads a picture; what is transparent is paper.
     *
     * @throws PictureException naming what is wrong with the file, and its place or size
     */
    public static Picture read(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = reader(in);
            try {
                reader.setInput(in, true, true);
                size(reader);
                return Turning.upright(file, picture(decoded(reader)));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException damaged) {
            throw told(damaged);
        }
    }

    private static PictureException told(Exception damaged) {
        return damaged instanceof PictureException own
                ? own
                : new PictureException("The picture is damaged and cannot be read.");
    }

    private static ImageReader reader(ImageInputStream in) {
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
            throw new PictureException("This is no picture that can be read: PNG, JPEG, BMP, GIF.");
        }
        return readers.next();
    }

    private static Size size(ImageReader reader) throws IOException {
        Size size = new Size(reader.getWidth(0), reader.getHeight(0));
        if (size.width() < 1 || size.height() < 1) {
            throw new PictureException(
                    "The picture is %d x %d pixels: there is none.", size.width(), size.height());
        }
        if (size.pixels() > MOST_PIXELS) {
            throw new PictureException(
                    "%,d x %,d pixels; %d million are allowed: make it smaller.",
                    size.width(), size.height(), MOST_PIXELS / 1_000_000);
        }
        return size;
    }

    private static BufferedImage decoded(ImageReader reader) throws IOException {
        Watching watching = new Watching();
        reader.addIIOReadProgressListener(watching);
        reader.addIIOReadWarningListener(watching);
        BufferedImage image;
        try {
            image = reader.read(0);
        } catch (IOException | RuntimeException ended) {
            throw watching.cutOff();
        }
        if (watching.warned) {
            throw watching.cutOff();
        }
        return image;
    }

    /** How far a picture was read. */
    private static final class Watching implements IIOReadProgressListener, IIOReadWarningListener {

        private float percent;
        private boolean warned;

        PictureException cutOff() {
            return new PictureException(
                    "The picture ends after %.0f %% of its rows, or is damaged there.",
                    (double) percent);
        }

        @Override
        public void imageProgress(ImageReader source, float percentageDone) {
            percent = warned ? percent : percentageDone;
        }

        @Override
        public void warningOccurred(ImageReader source, String warning) {
            // a reader of JPEG fills up what is missing, and says only this
            warned |= warning.toLowerCase(java.util.Locale.ROOT).contains("premature");
        }

        @Override
        public void sequenceStarted(ImageReader source, int minIndex) {}

        @Override
        public void sequenceComplete(ImageReader source) {}

        @Override
        public void imageStarted(ImageReader source, int imageIndex) {}

        @Override
        public void imageComplete(ImageReader source) {}

        @Override
        public void thumbnailStarted(ImageReader source, int imageIndex, int thumbnailIndex) {}

        @Override
        public void thumbnailProgress(ImageReader source, float percentageDone) {}

        @Override
        public void thumbnailComplete(ImageReader source) {}

        @Override
        public void readAborted(ImageReader source) {}
    }

    // ---- levels

    private static Picture picture(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        byte[] levels = new byte[width * height];
        RowReader rows = rows(image);
        for (int y = 0; y < height; y++) {
            rows.read(y, levels, y * width);
        }
        return new Picture(width, height, levels);
    }

    /** Reads the levels of a row. */
    private interface RowReader {
        void read(int y, byte[] into, int at);
    }

    private static RowReader rows(BufferedImage image) {
        ColorModel model = image.getColorModel();
        boolean grey = model.getColorSpace().getType() == ColorSpace.TYPE_GRAY;
        boolean colours = model.getColorSpace().getType() == ColorSpace.TYPE_RGB;
        boolean whole =
                image.getRaster().getTransferType() == DataBuffer.TYPE_BYTE
                        || image.getRaster().getTransferType() == DataBuffer.TYPE_USHORT
                        || image.getRaster().getTransferType() == DataBuffer.TYPE_INT;
        boolean ofBands = !(model instanceof IndexColorModel) && whole && (grey || colours);
        return ofBands ? bands(image, model, grey ? 1 : 3) : converted(image);
    }

    private static RowReader bands(BufferedImage image, ColorModel model, int colours) {
        Raster raster = image.getRaster();
        int bands = raster.getNumBands();
        boolean alpha = model.hasAlpha() && bands > colours;
        double[] scale = new double[bands];
        for (int i = 0; i < bands; i++) {
            scale[i] = Picture.WHITE / (Math.pow(2, model.getComponentSize(i)) - 1);
        }
        int[] row = new int[raster.getWidth() * bands];
        double[] share = colours == 1 ? new double[] {1} : new double[] {RED, GREEN, BLUE};
        return (y, into, at) -> {
            raster.getPixels(0, y, raster.getWidth(), 1, row);
            for (int x = 0; x < raster.getWidth(); x++) {
                double level = 0;
                for (int i = 0; i < colours; i++) {
                    level += share[i] * scale[i] * row[x * bands + i];
                }
                double cover =
                        alpha ? scale[colours] * row[x * bands + colours] / Picture.WHITE : 1;
                into[at + x] = (byte) Math.round(onPaper(level, cover));
            }
        };
    }

    private static RowReader converted(BufferedImage image) {
        int[] row = new int[image.getWidth()];
        return (y, into, at) -> {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                int c = row[x];
                double level = RED * (c >> 16 & 0xff) + GREEN * (c >> 8 & 0xff) + BLUE * (c & 0xff);
                into[at + x] = (byte) Math.round(onPaper(level, (c >>> 24) / 255.0));
            }
        };
    }

    private static double onPaper(double level, double cover) {
        return cover * level + (1 - cover) * Picture.WHITE;
    }
}
