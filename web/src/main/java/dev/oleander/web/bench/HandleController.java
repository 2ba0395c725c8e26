package dev.oleander.web.bench;

import dev.oleander.drawing.draw.DrawException;
import dev.oleander.drawing.draw.Handle;
import dev.oleander.drawing.draw.Handles;
import dev.oleander.drawing.draw.Sizes;
import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.ShapeEdits;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Values of what was drawn, changed on the table: by handles, and where they are written. */
@Controller
@RequestMapping("/jobs/{id}/shape/handles")
class HandleController {

    private final JobService jobs;
    private final ShapeEdits edits;
    private final EditAnswers answers;

    HandleController(JobService jobs, ShapeEdits edits, EditAnswers answers) {
        this.jobs = jobs;
        this.edits = edits;
        this.answers = answers;
    }

    /**
     * A handle on the table.
     *
     * @param about where it is measured from; the other end of a strip
     */
    record HandleJson(
            String name, String label, String kind, double[] at, double[] about, double width) {

        static HandleJson of(Handle handle) {
            return new HandleJson(
                    handle.name(),
                    handle.label(),
                    handle.kind().word(),
                    place(handle.at()),
                    place(handle.about()),
                    handle.width());
        }
    }

    /** A value that is written on what was drawn. */
    record SizeJson(String name, String label, double value, double[] from, double[] to) {

        static SizeJson of(Sizes.Size size) {
            return new SizeJson(
                    size.parameter(),
                    size.label(),
                    size.value(),
                    place(size.from()),
                    place(size.to()));
        }
    }

    record HandlesJson(List<HandleJson> handles, List<SizeJson> sizes) {}

    private static double[] place(Point p) {
        return new double[] {p.x(), p.y()};
    }

    /** Handles of a step; none when its values cannot be worked out. */
    @GetMapping
    @ResponseBody
    HandlesJson handles(@PathVariable long id, @RequestParam String drawn) {
        JobView job = jobs.view(id);
        try {
            Handles handles = edits.handles(job.result(), drawn);
            return new HandlesJson(
                    handles.all().stream().map(HandleJson::of).toList(),
                    handles.sizes().stream().map(SizeJson::of).toList());
        } catch (DrawException | GeometryException cannot) {
            // told where the step stands
            return new HandlesJson(List.of(), List.of());
        }
    }

    /** What a handle would do at a place. */
    @GetMapping("/preview")
    @ResponseBody
    ShapeController.Ghost preview(
            @PathVariable long id,
            @RequestParam String drawn,
            @RequestParam String handle,
            @RequestParam double x,
            @RequestParam double y) {
        JobView job = jobs.view(id);
        try {
            Map<String, String> values =
                    edits.handles(job.result(), drawn).moved(handle, point(x, y));
            return ShapeController.Ghost.of(edits.preview(job.result(), drawn, values));
        } catch (DrawException | GeometryException cannot) {
            return new ShapeController.Ghost(List.of(), List.of());
        }
    }

    /** What another value would do. */
    @GetMapping("/value")
    @ResponseBody
    ShapeController.Ghost value(
            @PathVariable long id,
            @RequestParam String drawn,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value) {
        List<String> ids = BenchController.ids(drawn);
        return ids.size() == 1
                ? ShapeController.Ghost.of(
                        edits.preview(jobs.view(id).result(), drawn, Map.of(field, value)))
                : new ShapeController.Ghost(List.of(), List.of());
    }

    private static Point point(double x, double y) {
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new DrawException("A place has two numbers, not %s and %s.", x, y);
        }
        return new Point(x, y);
    }

    /** What is done with a handle. */
    private interface Deed {
        Map<String, String> values(Handles handles);
    }

    @PostMapping
    String move(
            @ModelAttribute("context") Context context,
            @RequestParam String drawn,
            @RequestParam String handle,
            @RequestParam double x,
            @RequestParam double y) {
        return edit(context, drawn, "Moved: ", h -> h.moved(handle, point(x, y)));
    }

    @PostMapping("/remove")
    String remove(
            @ModelAttribute("context") Context context,
            @RequestParam String drawn,
            @RequestParam String handle) {
        return edit(context, drawn, "Taken away of ", h -> h.removed(handle));
    }

    @PostMapping("/add")
    String add(
            @ModelAttribute("context") Context context,
            @RequestParam String drawn,
            @RequestParam double x,
            @RequestParam double y) {
        return edit(context, drawn, "Put on ", h -> h.added(point(x, y)));
    }

    private String edit(Context context, String drawn, String deed, Deed values) {
        return answers.edit(
                context,
                new EditError("draw", "", ""),
                deed + drawn,
                edits.setStep(drawn, before -> values.values(edits.handles(before, drawn))));
    }
}
