package dev.oleander.web.letter;

import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.PictureLook;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.drawing.picture.Threshold;
import dev.oleander.drawing.picture.Trace;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.DrawnValues;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.longwork.WorkState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures on the table: what is seen of them, and the work that takes long. */
@RestController
@RequestMapping("/jobs/{id}/shape/picture")
class PictureLooks {

    /** Bars of the levels of grey. */
    private static final int BARS = 64;

    /** Lines and arcs whose distance from the edge is shown. */
    private static final int MOST_SHOWN = 60_000;

    private final JobService jobs;
    private final ShapeEdits edits;
    private final Pictures pictures;
    private final TraceWork work;

    PictureLooks(JobService jobs, ShapeEdits edits, Pictures pictures, TraceWork work) {
        this.jobs = jobs;
        this.edits = edits;
        this.pictures = pictures;
        this.work = work;
    }

    /**
     * How many pixels have which level.
     *
     * @param bars of 4 levels each, from black on
     * @param level between ink and paper, as it is found
     */
    record Levels(int[] bars, double level) {

        static Levels of(int[] histogram) {
            int[] bars = new int[BARS];
            for (int i = 0; i < histogram.length; i++) {
                bars[i * BARS / histogram.length] += histogram[i];
            }
            return new Levels(bars, found(histogram));
        }
    }

    /** Half way where there is nothing to be found, which the drawing tells. */
    private static double found(int[] histogram) {
        try {
            return Threshold.of(histogram);
        } catch (PictureException even) {
            return Picture.WHITE / 2.0;
        }
    }

    /**
     * A picture under its line work.
     *
     * @param place from pixels, y from below, to the drawing: a, b, c, d, e, f of a matrix
     * @param level between ink and paper
     * @param told sentences about what was made
     * @param off lines and arcs as x, y, x, y, bulge in the drawing, and how far the edge is off,
     *     pixels; none of very many
     */
    record Look(
            String href,
            int width,
            int height,
            double[] place,
            int[] bars,
            double level,
            List<String> told,
            double greatest,
            List<double[]> off) {}

    /** What is seen of the picture of a step. */
    @GetMapping
    Look look(@PathVariable long id, @RequestParam String drawn) {
        PictureLook look = seen(id, drawn);
        Trace trace = look.traced().trace();
        return new Look(
                "/pictures/" + look.sha256(),
                look.traced().width(),
                look.traced().height(),
                matrix(look.place()),
                Levels.of(pictures.histogram(look.sha256())).bars(),
                trace.threshold(),
                told(trace),
                trace.greatestDeviation(),
                off(trace, look.place()));
    }

    private PictureLook seen(long id, String drawn) {
        try {
            return edits.picture(jobs.view(id).result(), drawn)
                    .orElseThrow(() -> new NotFoundException(drawn + " draws no picture."));
        } catch (PictureException | DrawException cannot) {
            throw new NotFoundException(cannot.getMessage());
        }
    }

    private static double[] matrix(Transform t) {
        Point zero = t.apply(Point.ORIGIN);
        Point x = t.apply(new Point(1, 0)).minus(zero);
        Point y = t.apply(new Point(0, 1)).minus(zero);
        return new double[] {x.x(), x.y(), y.x(), y.y(), zero.x(), zero.y()};
    }

    private static List<String> told(Trace trace) {
        Trace.Counts n = trace.counts();
        List<String> told = new ArrayList<>();
        told.add(
                "%,d %s, %,d lines and arcs from %,d points; at most %.2f pixels off."
                        .formatted(
                                n.outlines(),
                                trace.strokes().isEmpty() ? "outlines" : "strokes",
                                n.elements(),
                                n.points(),
                                trace.greatestDeviation()));
        trace.strokeWidth()
                .ifPresent(
                        width ->
                                told.add(
                                        "Strokes are %.1f pixels wide, give or take %.0f %%."
                                                .formatted(width, 100 * trace.spread())));
        if (n.specks() + n.holes() > 0) {
            told.add("%,d specks and %,d pin-holes are gone.".formatted(n.specks(), n.holes()));
        }
        told.addAll(trace.told());
        return told;
    }

    private static List<double[]> off(Trace trace, Transform place) {
        List<double[]> rows = new ArrayList<>();
        if (trace.counts().elements() > MOST_SHOWN) {
            return rows;
        }
        List<Chain> chains = trace.chains();
        for (int i = 0; i < chains.size(); i++) {
            List<Segment> segments = chains.get(i).segments();
            for (int k = 0; k < segments.size(); k++) {
                Segment s = segments.get(k);
                Point from = place.apply(s.start());
                Point to = place.apply(s.end());
                rows.add(
                        new double[] {
                            from.x(), from.y(), to.x(), to.y(), s.bulge(), trace.off().get(i).get(k)
                        });
            }
        }
        return rows;
    }

    /** The levels of a picture that is about to be drawn. */
    @GetMapping("/levels")
    Levels levels(@RequestParam String picture) {
        try {
            return Levels.of(pictures.histogram(picture));
        } catch (PictureException none) {
            throw new NotFoundException(none.getMessage());
        }
    }

    /**
     * How far line work is that an edit needs; wanted when nobody has it.
     *
     * @param phase as of all long work; done at once where nothing takes long
     */
    record Making(String phase, double share, String doing) {

        static final Making DONE = new Making(WorkState.Phase.DONE.name(), 1, "");

        static Making of(WorkState state) {
            return new Making(state.phase().name(), state.share(), state.doing());
        }
    }

    /** Before a step is drawn, or gets another value. */
    @PostMapping("/work")
    Making work(
            @PathVariable long id,
            @RequestParam Map<String, String> parameters,
            @AuthenticationPrincipal SignedIn who) {
        try {
            return asked(id, parameters)
                    .map(a -> Making.of(work.want(a.sha256(), a.spec(), who)))
                    .orElse(Making.DONE);
        } catch (PictureException none) {
            // told by the edit itself
            return Making.DONE;
        }
    }

    @PostMapping("/work/stop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(
            @PathVariable long id,
            @RequestParam Map<String, String> parameters,
            @AuthenticationPrincipal SignedIn who) {
        asked(id, parameters).ifPresent(a -> work.stop(a.sha256(), a.spec(), who));
    }

    /** What cannot be worked out is told by the edit itself. */
    private Optional<PictureLook.Asked> asked(long id, Map<String, String> parameters) {
        try {
            return edits.asked(jobs.view(id).result(), step(parameters));
        } catch (DrawException cannot) {
            return Optional.empty();
        }
    }

    /** What is about to be drawn, or what a step is about to be. */
    private static DrawStep step(Map<String, String> parameters) {
        String drawn = parameters.getOrDefault("drawn", "");
        Map<String, String> values = new TreeMap<>(DrawnValues.of(parameters));
        if (!drawn.isEmpty()) {
            values.put(parameters.getOrDefault("field", ""), parameters.getOrDefault("value", ""));
        }
        return new DrawStep(drawn, parameters.getOrDefault("command", ""), List.of(), values);
    }
}
