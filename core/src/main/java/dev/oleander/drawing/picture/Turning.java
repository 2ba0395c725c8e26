package dev.oleander.drawing.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.ByteArrayInputStream;
import java.io.IOException;

/** Pictures of cameras that lie on their side say so beside their pixels. */
final class Turning {

    private static final int UPRIGHT = 1;
    private static final int LAST = 8;

    /** From here on rows become columns. */
    private static final int ON_ITS_SIDE = 5;

    private Turning() {}

    /** As people see it. */
    static Picture upright(byte[] file, Picture picture) {
        int turn = turn(file);
        return turn <= UPRIGHT || turn > LAST ? picture : turned(picture, turn);
    }

    private static int turn(byte[] file) {
        try {
            ExifIFD0Directory said =
                    ImageMetadataReader.readMetadata(new ByteArrayInputStream(file), file.length)
                            .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer turn = said == null ? null : said.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return turn == null ? UPRIGHT : turn;
        } catch (ImageProcessingException | IOException | RuntimeException unreadable) {
            // what stands beside the pixels is not needed
            return UPRIGHT;
        }
    }

    /**
     * @param turn as the standard numbers it: 1 upright, 2 mirrored, 3 by half a turn, 4 both, 5 to
     *     8 the same of rows and columns exchanged
     */
    private static Picture turned(Picture of, int turn) {
        boolean side = turn >= ON_ITS_SIDE;
        int width = side ? of.height() : of.width();
        int height = side ? of.width() : of.height();
        byte[] levels = new byte[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int u = side ? y : x;
                int v = side ? x : y;
                boolean fromRight = turn == 2 || turn == 3 || turn == 7 || turn == 8;
                boolean fromBelow = turn == 3 || turn == 4 || turn == 6 || turn == 7;
                int column = fromRight ? of.width() - 1 - u : u;
                int row = fromBelow ? of.height() - 1 - v : v;
                levels[y * width + x] = (byte) of.at(column, row);
            }
        }
        return new Picture(width, height, levels);
    }
}
