package dev.oleander.web.release;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.DrillHole;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.paper.SvgPaths;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The sheet on the machine's table with the order of the stops, as an SVG element for paper. */
final class SheetPicture {

    private static final double SIZE = 1000;
    private static final double BORDER = 34;

    /** Stops up to which each has its number; of more only the first of each part. */
    private static final int MOST_NUMBERS = 160;

    private static final String STYLE =
            "<style>path{fill:none}path.stock{stroke:#444444;stroke-width:1.6}"
                    + "path.shown{stroke:#000000;stroke-width:5;stroke-dasharray:14 9}"
                    + "path.kept{fill:#e4eee7;stroke:#1f4a38;stroke-width:1.1}"
                    + "path.profile{stroke:#1f4a38;stroke-width:1.1}"
                    + "path.mark{stroke:#1f4a38;stroke-width:0.9;stroke-dasharray:5 2 1 2}"
                    + "path.way{stroke:#999999;stroke-width:0.6;stroke-dasharray:2 3}"
                    + "path.support{stroke:#000000;stroke-width:1;stroke-dasharray:6 4}"
                    + "path.axis{stroke:#000000;stroke-width:2}"
                    + "path.drill{stroke:#000000;stroke-width:1}"
                    + "circle{fill:#ffffff;stroke:#000000;stroke-width:1}"
                    + "text{font-family:Commissioner;font-size:13px;fill:#000000}</style>";

    private final JobResult result;
    private final Run run;
    private final Program program;
    private final Optional<List<WorkSheet.Profile>> profiles;
    private final List<Box> supports;
    private final Box shown;
    private final SvgPaths paths;
    private final StringBuilder svg = new StringBuilder();

    private SheetPicture(
            JobResult result,
            Run run,
            Program program,
            Optional<List<WorkSheet.Profile>> profiles,
            List<Box> supports,
            Box shown) {
        this.result = result;
        this.run = run;
        this.program = program;
        this.profiles = profiles;
        this.supports = supports;
        this.shown = shown;
        this.paths = new SvgPaths(shown, SIZE, BORDER);
    }

    /**
     * The part of the stock on which something lies, and the zero point.
     *
     * @param run stops that are shown
     * @param program their motion
     * @param profiles what is drawn in the place of the parts
     * @param supports what the stock lies on
     */
    static SheetPicture used(
            JobResult result,
            Run run,
            Program program,
            Optional<List<WorkSheet.Profile>> profiles,
            List<Box> supports) {
        return new SheetPicture(result, run, program, profiles, supports, usedBox(result));
    }

    private static Box usedBox(JobResult result) {
        Run run = result.run();
        List<Box> boxes = new ArrayList<>();
        run.stops().stream()
                .flatMap(s -> s.path().stream())
                .flatMap(p -> p.all().stream())
                .map(Segment::box)
                .forEach(boxes::add);
        Box stock = run.layout().stock();
        if (boxes.isEmpty()) {
            return stock;
        }
        boxes.add(new Box(Point.ORIGIN, Point.ORIGIN));
        for (Placement placement : run.layout().placements()) {
            placement.of().parts(result.reading()).stream()
                    .map(part -> part.region().outer().transformed(placement.transform()).box())
                    .forEach(boxes::add);
        }
        Box box = Box.around(boxes);
        double margin = 0.02 * Math.max(box.width(), box.height());
        Box grown = box.grown(margin);
        return new Box(
                new Point(
                        Math.max(grown.min().x(), Math.min(0, stock.min().x())),
                        Math.max(grown.min().y(), Math.min(0, stock.min().y()))),
                new Point(
                        Math.min(grown.max().x(), Math.max(0, stock.max().x())),
                        Math.min(grown.max().y(), Math.max(0, stock.max().y()))));
    }

    /** The whole stock with no more than the outlines on it, and what the other picture shows. */
    String overview() {
        SheetPicture whole =
                new SheetPicture(result, run, program, profiles, List.of(), run.layout().stock());
        whole.open();
        whole.stock();
        whole.parts();
        whole.outline("shown", shown);
        return whole.svg.append("</svg>").toString();
    }

    /** Whether the picture leaves out much of the stock. */
    boolean isExcerpt() {
        Box stock = run.layout().stock();
        return shown.width() * shown.height() < 0.8 * stock.width() * stock.height();
    }

    /** Width over height. */
    double ratio() {
        return paths.width() / paths.height();
    }

    String svg() {
        open();
        stock();
        parts();
        supports.forEach(box -> outline("support", box));
        marks();
        ways();
        numbers();
        run.drilled().forEach(this::drill);
        zero();
        return svg.append("</svg>").toString();
    }

    /** Its box is cut out of all that is drawn. */
    private void open() {
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\">",
                        paths.width(),
                        paths.height()));
        svg.append(STYLE);
    }

    private void parts() {
        if (profiles.isPresent()) {
            profiles.get().forEach(this::profile);
            return;
        }
        for (Placement placement : run.layout().placements()) {
            placement.of().parts(result.reading()).forEach(part -> part(part, placement));
        }
    }

    private void profile(WorkSheet.Profile profile) {
        begin(profile.kept() ? "kept" : "profile");
        paths.append(svg, new Path(profile.segments()));
        svg.append("\"/>");
    }

    /** The stock as it is: a rectangle, or another outline with its holes. */
    private void stock() {
        if (run.layout().outline().isEmpty()) {
            outline("stock", run.layout().stock());
            return;
        }
        svg.append("<path class=\"stock\" fill-rule=\"evenodd\" d=\"");
        run.layout().outline().get().contours().forEach(contour -> paths.append(svg, contour));
        svg.append("\"/>");
    }

    private void outline(String css, Box box) {
        begin(css);
        corner('M', box.min());
        corner('L', new Point(box.max().x(), box.min().y()));
        corner('L', box.max());
        corner('L', new Point(box.min().x(), box.max().y()));
        svg.append("Z\"/>");
    }

    private void begin(String css) {
        svg.append("<path class=\"").append(css).append("\" d=\"");
    }

    private void corner(char command, Point p) {
        Point shown = paths.shown(p);
        svg.append(String.format(Locale.ROOT, "%c%.1f %.1f", command, shown.x(), shown.y()));
    }

    private void part(Part part, Placement placement) {
        Region region = part.region().transformed(placement.transform());
        svg.append("<path fill-rule=\"evenodd\" class=\"kept\" d=\"");
        region.contours().forEach(c -> paths.append(svg, c));
        svg.append("\"/>");
    }

    private void marks() {
        for (Stop stop : run.stops()) {
            if (stop.kind() == Stop.Kind.MARK && stop.path().isPresent()) {
                begin("mark");
                paths.append(svg, new Path(stop.path().get().main()));
                svg.append("\"/>");
            }
        }
    }

    private void ways() {
        begin("way");
        for (Item item : program.items()) {
            if (item instanceof Item.Rapid rapid) {
                corner('M', rapid.from());
                corner('L', rapid.to());
            }
        }
        svg.append("\"/>");
    }

    private void numbers() {
        List<Stop> cut = run.cut();
        List<Stop> numbered = new ArrayList<>();
        String before = "";
        for (Stop stop : cut) {
            String group = stop.part() + "." + stop.copy();
            if (cut.size() <= MOST_NUMBERS || !group.equals(before)) {
                numbered.add(stop);
            }
            before = group;
        }
        for (Stop stop : numbered) {
            Point at = paths.shown(stop.path().orElseThrow().pierce());
            svg.append(
                    String.format(
                            Locale.ROOT,
                            "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"2.6\"/>"
                                    + "<text x=\"%.1f\" y=\"%.1f\">%d</text>",
                            at.x(),
                            at.y(),
                            at.x() + 4,
                            at.y() - 3,
                            stop.number()));
        }
    }

    private void drill(DrillHole hole) {
        Point at = paths.shown(hole.centre());
        begin("drill");
        svg.append(
                String.format(
                        Locale.ROOT,
                        "M%.1f %.1fh12M%.1f %.1fv12\"/>",
                        at.x() - 6,
                        at.y(),
                        at.x(),
                        at.y() - 6));
    }

    /** The zero point with its axes. */
    private void zero() {
        Point at = paths.shown(Point.ORIGIN);
        begin("axis");
        svg.append(
                String.format(
                        Locale.ROOT,
                        "M%.1f %.1fh46m-8 -4l8 4l-8 4M%.1f %.1fv-46m-4 8l4 -8l4 8\"/>",
                        at.x(),
                        at.y(),
                        at.x(),
                        at.y()));
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<text x=\"%.1f\" y=\"%.1f\">X</text><text x=\"%.1f\" y=\"%.1f\">Y</text>",
                        at.x() + 50,
                        at.y() + 5,
                        at.x() - 4,
                        at.y() - 50));
    }
}
