package dev.oleander.web.program;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.web.paper.SvgPaths;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The way of a program, and under it that of another one, as an SVG element. */
final class ProgramPicture {

    private static final double SIZE = 1000;
    private static final double BORDER = 20;

    /** Moves that are drawn; a picture of more is slow and black. */
    static final int MOST = 40_000;

    private final SvgPaths paths;
    private final StringBuilder svg = new StringBuilder();

    ProgramPicture(Box box) {
        this.paths = new SvgPaths(box, SIZE, BORDER);
    }

    /**
     * @param other drawn under it, with lines of another look; null for none
     */
    String svg(Program program, Program other) {
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\""
                                + " class=\"program-picture\" role=\"img\" aria-label=\"Path of the"
                                + " program\">",
                        paths.width(),
                        paths.height()));
        if (other != null) {
            draw(other, "other");
        }
        draw(program, "own");
        return svg.append("</svg>").toString();
    }

    private void draw(Program program, String css) {
        StringBuilder cut = new StringBuilder();
        StringBuilder travel = new StringBuilder();
        List<Segment> run = new ArrayList<>();
        int drawn = 0;
        for (Item item : program.items()) {
            if (drawn >= MOST) {
                break;
            }
            if (item instanceof Item.AtFeed feed) {
                feed.way().ifPresent(run::add);
                drawn++;
            } else {
                end(run, cut);
                if (item instanceof Item.Rapid rapid) {
                    paths.append(travel, new Path(List.of(new Line(rapid.from(), rapid.to()))));
                    drawn++;
                }
            }
        }
        end(run, cut);
        path(css + " travel", travel);
        path(css + " cut", cut);
    }

    private void end(List<Segment> run, StringBuilder into) {
        if (!run.isEmpty()) {
            paths.append(into, new Path(run));
            run.clear();
        }
    }

    private void path(String css, StringBuilder data) {
        svg.append("<path class=\"").append(css).append("\" d=\"").append(data).append("\"/>");
    }
}
