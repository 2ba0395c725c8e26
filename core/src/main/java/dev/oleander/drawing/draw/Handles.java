package dev.oleander.drawing.draw;

import dev.oleander.drawing.Drawing;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;

/** Takes hold of a step among others, as it stands when they come to it. */
public final class Handles {

    private final Command command;
    private final Sketch sketch;
    private final Args args;
    private final Map<String, Double> names;

    /**
     * @param drawing before all steps
     * @param names values that formulas may use by name, mm
     * @throws DrawException when there is no such step, or its values cannot be worked out
     */
    public Handles(
            Drawing drawing,
            List<DrawStep> steps,
            String id,
            Map<String, Double> names,
            Supplies supplies) {
        int at = 0;
        while (at < steps.size() && !steps.get(at).id().equals(id)) {
            at++;
        }
        if (at == steps.size()) {
            throw new DrawException("There is no step %s in this drawing.", id);
        }
        DrawStep step = steps.get(at);
        this.names = names;
        this.command =
                Commands.find(step.command())
                        .orElseThrow(
                                () ->
                                        new DrawException(
                                                "There is no drawing command \"%s\".",
                                                step.command()));
        this.sketch = new DrawSteps(names, supplies).sketch(drawing, steps.subList(0, at));
        this.args = new Args(step, command.parameters(), names);
    }

    public List<Handle> all() {
        return command.handling().of(sketch, args);
    }

    /** What is written on it. */
    public List<Sizes.Size> sizes() {
        return Sizes.of(args.step(), names);
    }

    /** Values that change when a handle is put somewhere. */
    public Map<String, String> moved(String name, Point to) {
        return command.handling().moved(sketch, args, name, to);
    }

    /** Values that change when what a handle holds is taken away. */
    public Map<String, String> removed(String name) {
        return command.handling().removed(sketch, args, name);
    }

    /** Values that change when one more is put at a place. */
    public Map<String, String> added(Point at) {
        return command.handling().added(sketch, args, at);
    }
}
