package dev.oleander.web.work.router;

import dev.oleander.quantity.Numbers;
import dev.oleander.web.work.router.MaterialAnswer.SectionJson;
import java.util.List;
import java.util.Locale;

/**
 * A section as it is drawn, in px.
 *
 * @param stock what is left of the stock, a closed path
 * @param wanted its border as stops are asked for, a path
 * @param caption its length and scale
 */
public record SectionPicture(int width, int height, String stock, String wanted, String caption) {

    private static final int WIDTH = 560;
    private static final int TALL = 46;
    private static final int MARGIN = 6;
    private static final int[] FACTORS = {1, 2, 5, 10, 20, 50};

    static SectionPicture of(SectionJson section) {
        double scale = WIDTH / section.length();
        int factor = factor(section.thickness() * scale);
        double high = scale * factor;
        String outline = path(section.depth(), scale, high);
        double bottom = section.thickness() * high;
        String stock = "%sL%s %sL0 %sZ".formatted(outline, px(WIDTH), px(bottom), px(bottom));
        String heights = factor == 1 ? "to scale" : "heights %d times".formatted(factor);
        return new SectionPicture(
                WIDTH,
                (int) Math.ceil(bottom) + 2 * MARGIN,
                stock,
                path(section.wanted(), scale, high),
                "%s mm, %s; dashed: as it is wanted"
                        .formatted(Numbers.plain(section.length(), 1), heights));
    }

    /** So many times higher than to scale that it can be seen, and no more. */
    private static int factor(double tall) {
        for (int factor : FACTORS) {
            if (tall * factor >= TALL) {
                return factor;
            }
        }
        return FACTORS[FACTORS.length - 1];
    }

    private static String path(List<double[]> places, double scale, double high) {
        StringBuilder path = new StringBuilder();
        for (double[] place : places) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(px(place[0] * scale))
                    .append(' ')
                    .append(px(place[1] * high));
        }
        return path.toString();
    }

    private static String px(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
