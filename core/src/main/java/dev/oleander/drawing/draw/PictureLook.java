package dev.oleander.drawing.draw;

import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.geometry.Transform;
import java.util.Map;
import java.util.Optional;

/**
 * A picture on the table, under the line work that was made of it.
 *
 * @param sha256 of its file
 * @param spec how it is traced
 * @param traced what came of it, pixels
 * @param place from pixels to the drawing, mm
 */
public record PictureLook(String sha256, TraceSpec spec, Traces.Traced traced, Transform place) {

    /**
     * What is asked of a picture by a step.
     *
     * @param sha256 of its file
     */
    public record Asked(String sha256, TraceSpec spec) {}

    /**
     * Empty for steps of other commands.
     *
     * @param numbers values that formulas may use by name
     * @throws DrawException when its values cannot be worked out
     */
    public static Optional<Asked> asked(DrawStep step, Map<String, Double> numbers) {
        return args(step, numbers)
                .map(args -> new Asked(args.text("picture"), PictureCommands.spec(args)));
    }

    private static Optional<Args> args(DrawStep step, Map<String, Double> numbers) {
        return Commands.find(step.command())
                .filter(command -> command.word().equals(PictureCommands.WORD))
                .map(command -> new Args(step, command.parameters(), numbers));
    }

    /**
     * Empty for steps of other commands.
     *
     * @param traces of the pictures
     * @throws DrawException when its values cannot be worked out
     * @throws dev.oleander.drawing.picture.PictureException when there is nothing to be seen
     */
    public static Optional<PictureLook> of(
            DrawStep step, Map<String, Double> numbers, Traces traces) {
        return args(step, numbers)
                .map(
                        args -> {
                            String sha256 = args.text("picture");
                            TraceSpec spec = PictureCommands.spec(args);
                            Traces.Traced traced = traces.trace(sha256, spec);
                            return new PictureLook(
                                    sha256, spec, traced, PictureCommands.place(args, traced));
                        });
    }
}
