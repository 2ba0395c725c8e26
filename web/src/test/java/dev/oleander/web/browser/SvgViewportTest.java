package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.svg.SvgReader;
import dev.oleander.geometry.Box;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.JavascriptExecutor;

/**
 * Nested viewports of SVG - sizes, percentages, view boxes, aspect ratios, symbols, uses - against
 * the geometry of a browser. {@code -Doleander.long=5000} looks at so many.
 */
class SvgViewportTest {

    private static final double MM = 25.4 / 96;

    /** Pages that are given to the browser at once. */
    private static final int AT_ONCE = 50;

    /** mm; browsers lay pages out on a grid of 1/64 of a pixel. */
    private static final double ROUNDING = 25.4 / 96 / 32;

    private static final double SHARE = 4e-4;

    @Test
    void shapesLieWhereABrowserPutsThem(@TempDir Path profile, @TempDir Path downloads) {
        int pages = Integer.getInteger("oleander.long", 200);
        try (Browser browser = new Browser(0, downloads, profile, List.of())) {
            browser.driver().get("data:text/html,<body style='margin:0'></body>");
            for (int first = 0; first < pages; first += AT_ONCE) {
                List<String> svgs = new ArrayList<>();
                for (int seed = first; seed < first + AT_ONCE; seed++) {
                    svgs.add(new Made(new SplittableRandom(seed)).svg());
                }
                List<List<List<Number>>> seen = seen(browser, svgs);
                for (int i = 0; i < svgs.size(); i++) {
                    compare(first + i, svgs.get(i), seen.get(i));
                }
            }
        }
    }

    @SuppressWarnings("unchecked")
    private static List<List<List<Number>>> seen(Browser browser, List<String> svgs) {
        String script =
                """
                return arguments[0].map(text => {
                  document.body.innerHTML = text;
                  const svg = document.body.firstElementChild;
                  const page = svg.getBoundingClientRect();
                  return [...svg.querySelectorAll('.seen')].map(shape => {
                    const r = shape.getBoundingClientRect();
                    return [r.left - page.left, page.bottom - r.bottom, r.right - page.left, page.bottom - r.top];
                  });
                });
                """;
        return (List<List<List<Number>>>)
                ((JavascriptExecutor) browser.driver()).executeScript(script, svgs);
    }

    private static void compare(int seed, String svg, List<List<Number>> seen) {
        List<Box> found = boxes(svg);
        assertThat(found).as("seed %d: %s", seed, svg).hasSameSizeAs(seen);
        for (int i = 0; i < found.size(); i++) {
            Box box = found.get(i);
            double[] ours = {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
            // what the grid takes of the page's size is magnified where much lies outside of it
            double far = Arrays.stream(ours).map(Math::abs).max().orElseThrow();
            double rounding = ROUNDING + far * SHARE;
            for (int k = 0; k < 4; k++) {
                double theirs = seen.get(i).get(k).doubleValue() * MM;
                assertThat(ours[k])
                        .as("seed %d, shape %d, side %d of %s", seed, i, k, svg)
                        .isCloseTo(theirs, within(rounding));
            }
        }
    }

    private static List<Box> boxes(String svg) {
        try {
            Drawing drawing =
                    new SvgReader(ImportOptions.defaults())
                            .read("made.svg", svg.getBytes(StandardCharsets.UTF_8));
            return drawing.entities().stream().map(Entity::chain).map(c -> c.box()).toList();
        } catch (DrawingException nothingDrawn) {
            return List.of();
        }
    }

    /** A page with viewports in viewports; every shape that is drawn is of the class seen. */
    private static final class Made {

        private static final String[] ALIGN = {
            "none",
            "xMinYMin",
            "xMidYMin",
            "xMaxYMid",
            "xMidYMid meet",
            "xMaxYMax slice",
            "xMinYMax slice",
            "nonsense"
        };

        private final SplittableRandom random;
        private final StringBuilder symbols = new StringBuilder();
        private int named;

        Made(SplittableRandom random) {
            this.random = random;
        }

        String svg() {
            String content = content(0);
            return "<svg xmlns='http://www.w3.org/2000/svg' width='%s' height='%s'%s>%s%s</svg>"
                    .formatted(size(), size(), fit(), symbols, content);
        }

        private String size() {
            String[] units = {"mm", "px", "", "in", "pt"};
            int unit = random.nextInt(units.length);
            double most = unit == 3 ? 8 : 300;
            return number(most / 10 + most * random.nextDouble()) + units[unit];
        }

        private String fit() {
            if (random.nextInt(3) == 0) {
                return "";
            }
            String box =
                    " viewBox='%s %s %s %s'"
                            .formatted(
                                    number(40 * random.nextDouble() - 20),
                                    number(40 * random.nextDouble() - 20),
                                    number(10 + 200 * random.nextDouble()),
                                    number(10 + 200 * random.nextDouble()));
            String aspect = ALIGN[random.nextInt(ALIGN.length)];
            return random.nextBoolean() ? box : box + " preserveAspectRatio='" + aspect + "'";
        }

        private String content(int depth) {
            StringBuilder all = new StringBuilder();
            int items = 1 + random.nextInt(2);
            for (int i = 0; i < items; i++) {
                int kind = depth > 2 ? 0 : random.nextInt(4);
                all.append(
                        switch (kind) {
                            case 1 ->
                                    "<svg%s%s>%s</svg>"
                                            .formatted(place(), fit(), content(depth + 1));
                            case 2 -> use("symbol", depth);
                            case 3 -> use("svg", depth);
                            default -> shape("seen");
                        });
            }
            return all.toString();
        }

        /** The browser tells of a use as a whole, so there is one shape in what it puts in. */
        private String use(String name, int depth) {
            String id = "n" + named++;
            String size = random.nextBoolean() ? place() : "";
            String used =
                    "<%s id='%s'%s%s>%s</%s>"
                            .formatted(name, id, size, fit(), shape("unseen"), name);
            symbols.append(name.equals("svg") ? "<defs>" + used + "</defs>" : used);
            return "<use class='seen' href='#%s'%s/>"
                    .formatted(id, random.nextBoolean() ? place() : "");
        }

        private String place() {
            StringBuilder place = new StringBuilder();
            for (String side : new String[] {"x", "y", "width", "height"}) {
                if (random.nextInt(4) > 0) {
                    place.append(" %s='%s'".formatted(side, length(side.length() > 1)));
                }
            }
            return place.toString();
        }

        private String length(boolean positive) {
            double least = positive ? 5 : -20;
            return switch (random.nextInt(4)) {
                case 0 -> number(least + 60 * random.nextDouble()) + "%";
                case 1 -> number(Math.abs(least) + 20 * random.nextDouble()) + "mm";
                default -> number(least + 100 * random.nextDouble());
            };
        }

        private String shape(String kind) {
            return random.nextBoolean()
                    ? "<rect class='%s' x='%s' y='%s' width='%s' height='%s'/>"
                            .formatted(
                                    kind, length(false), length(false), length(true), length(true))
                    : "<circle class='%s' cx='%s' cy='%s' r='%s'/>"
                            .formatted(kind, length(false), length(false), length(true));
        }

        private static String number(double value) {
            return String.format(Locale.ROOT, "%.3f", value);
        }
    }
}
