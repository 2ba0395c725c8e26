package dev.oleander.drawing.draw;

import dev.oleander.drawing.Drawing;
import dev.oleander.geometry.GeometryException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Does steps on a drawing. One that cannot be done is passed over and told. */
public final class DrawSteps {

    private final Map<String, Double> names;
    private final Supplies supplies;

    /** With what ships only. */
    public DrawSteps(Map<String, Double> names) {
        this(names, Supplies.SHIPPED);
    }

    /**
     * @param names values that formulas may use by name, mm
     * @param supplies fonts and pictures
     */
    public DrawSteps(Map<String, Double> names, Supplies supplies) {
        this.names = Map.copyOf(names);
        this.supplies = supplies;
    }

    public Drawn apply(Drawing drawing, List<DrawStep> steps) {
        Sketch sketch = new Sketch(drawing, supplies);
        List<Drawn.Trouble> troubles = new ArrayList<>();
        for (DrawStep step : steps) {
            try {
                apply(sketch, step);
            } catch (DrawException cannot) {
                troubles.add(new Drawn.Trouble(step.id(), cannot.parameter(), cannot.getMessage()));
            } catch (GeometryException cannot) {
                troubles.add(new Drawn.Trouble(step.id(), "", cannot.getMessage()));
            }
        }
        return sketch.drawn(drawing, troubles);
    }

    /** What some steps made; those that cannot be done are left out. */
    Sketch sketch(Drawing drawing, List<DrawStep> steps) {
        Sketch sketch = new Sketch(drawing, supplies);
        for (DrawStep step : steps) {
            try {
                apply(sketch, step);
            } catch (DrawException | GeometryException cannot) {
                // told where all steps are done
                continue;
            }
        }
        return sketch;
    }

    private void apply(Sketch sketch, DrawStep step) {
        Command command =
                Commands.find(step.command())
                        .orElseThrow(
                                () ->
                                        new DrawException(
                                                "There is no drawing command \"%s\".",
                                                step.command()));
        command.deed().apply(sketch, new Args(step, command.parameters(), names));
    }
}
