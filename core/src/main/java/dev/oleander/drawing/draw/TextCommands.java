package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.factor;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;
import static dev.oleander.drawing.draw.Parameter.yesOrNo;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.drawing.letter.TextLayout;
import dev.oleander.drawing.letter.TextSpec;
import dev.oleander.drawing.letter.TextSpec.Across;
import dev.oleander.drawing.letter.TextSpec.Align;
import dev.oleander.drawing.letter.TextSpec.Along;
import dev.oleander.drawing.letter.TextSpec.Turn;
import dev.oleander.drawing.letter.TypeFace;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Texts, which stay texts: what they say and how is worked out anew whenever something changes.
 * Along the chain that is selected, or straight; once, or in rows with numbers and values of a
 * table.
 */
final class TextCommands {

    private static final String MARKS = "MARK";
    private static final String BY_USE = "by their use";
    private static final String USE = "What they are for";

    private static final String FORM = "Form and spacing";
    private static final String LINES = "Lines and place";
    private static final String WAY = "Along a chain";

    private TextCommands() {}

    /** What letters are for; a layer that is said otherwise goes before it. */
    private enum Use implements Worded {
        /** outlines are cut, single lines are marked */
        USUAL("CUT"),
        /** they fall out */
        INSIDE("CUT"),
        /** they are kept, each in one piece */
        OUTSIDE("CUT"),
        /** the tool runs on the line */
        ON("FOLLOW"),
        MARK(MARKS),
        POCKET("POCKET"),
        CARVE("CARVE");

        private final String layer;

        Use(String layer) {
            this.layer = layer;
        }
    }

    /** How a text along a chain comes to a length. */
    private enum Fit implements Worded {
        NONE,
        SPREAD,
        STRETCH,
        SHRINK
    }

    static List<Command> all() {
        return List.of(
                new Command(
                                "text",
                                "Text",
                                Group.FIGURES,
                                Targets.CHAIN_OR_NONE,
                                parameters(),
                                TextCommands::text)
                        .handledBy(
                                new TextHandling(
                                        (sketch, args) ->
                                                way(sketch, args).map(TextSpec.Way::chain))));
    }

    private static List<Parameter> parameters() {
        List<Parameter> own =
                List.of(
                        x("x", "From x"),
                        y("y", "Base line y"),
                        new Parameter("text", "Text", Parameter.Kind.LINES, ""),
                        length("height", "Height of capitals", "8"),
                        new Parameter("font", "Font", Parameter.Kind.FONT, ""),
                        angle("turn", "Turned by", "0"),
                        Parameter.text("layer", "Layer", BY_USE),
                        choice("use", "Letters are", Use.class).in(USE),
                        length("depth", "Depth, 0 for all or as usual", "0").in(USE),
                        length("bar", "Bars of dots and accents", "height/15").in(USE),
                        factor("wide", "Width of letters", "1").in(FORM),
                        angle("slant", "Slant", "0").in(FORM),
                        length("letters", "Between letters", "0").in(FORM),
                        length("words", "Between words", "0").in(FORM),
                        factor("pitch", "Between lines, of the height", "1.6").in(FORM),
                        choice("align", "Lines lie", Align.class).in(LINES),
                        length("width", "Justified to", "0").in(LINES),
                        choice("along", "The place is its", Along.class).in(LINES),
                        choice("across", "The place is on its", Across.class).in(LINES),
                        yesOrNo("ink", "Edges are those of the ink").in(LINES),
                        yesOrNo("mirrored", "Mirrored").in(LINES),
                        length("from", "Moved along it", "0").in(WAY),
                        length("distance", "Base line to its left", "0").in(WAY),
                        yesOrNo("reversed", "From its other end").in(WAY),
                        choice("stand", "Letters stand", Turn.class).in(WAY),
                        choice("measured", "Spaces hold at", Across.class).in(WAY),
                        choice("fit", "Brought to a length", Fit.class).in(WAY),
                        length("length", "Length, 0 for all of it", "0").in(WAY));
        List<Parameter> all = new ArrayList<>(own);
        all.addAll(Series.parameters());
        return all;
    }

    private static void text(Sketch sketch, Args args) {
        TypeFace face = face(sketch, args);
        List<String> texts = Series.texts(sketch, args);
        Optional<TextSpec.Way> way = way(sketch, args);
        double height = args.positive("height", "The height of capitals");
        LetterOutlines letters =
                new LetterOutlines(
                        face.names().strokes(), Math.min(LetterOutlines.TOLERANCE, height / 500));
        DrawStep layered = layered(args, face);
        for (int i = 0; i < texts.size(); i++) {
            Point shift = Series.shift(args, i);
            for (Chain chain :
                    outlines(face, letters, spec(texts.get(i), args, shift, way), args)) {
                sketch.draw(layered, Entity.TEXT, chain);
            }
        }
    }

    /** By what the letters are for, with how deep, as names of layers say it. */
    private static DrawStep layered(Args args, TypeFace face) {
        String layer = args.text("layer");
        if (!layer.isEmpty() && !layer.equals(BY_USE)) {
            return args.step();
        }
        Use use = args.choice("use", Use.class);
        String name = use == Use.USUAL && face.names().strokes() ? MARKS : use.layer;
        double depth = args.notNegative("depth", "The depth");
        return args.step().with("layer", depth == 0 ? name : name + " " + Numbers.plain(depth, 3));
    }

    private static TypeFace face(Sketch sketch, Args args) {
        return sketch.supplies()
                .faces()
                .find(args.text("font"))
                .orElseThrow(
                        () ->
                                DrawException.about(
                                        "font",
                                        "The shop has no font %s.".formatted(args.text("font"))));
    }

    private static List<Chain> outlines(
            TypeFace face, LetterOutlines letters, TextSpec spec, Args args) {
        try {
            List<LetterOutlines.Outline> outlines = letters.of(TextLayout.of(face, spec));
            return args.choice("use", Use.class) == Use.OUTSIDE
                    ? new LetterBars(args.positive("bar", "The width of bars")).of(outlines)
                    : outlines.stream().map(LetterOutlines.Outline::chain).toList();
        } catch (LetterException wrong) {
            throw DrawException.about("text", wrong.getMessage());
        }
    }

    private static TextSpec spec(String text, Args args, Point shift, Optional<TextSpec.Way> way) {
        return new TextSpec(
                text,
                args.positive("height", "The height of capitals"),
                new TextSpec.Form(
                        args.positive("wide", "The width of letters"), args.number("slant")),
                new TextSpec.Spacing(args.number("letters"), args.number("words"), true),
                new TextSpec.Lines(
                        args.positive("pitch", "The distance between lines"),
                        args.choice("align", Align.class),
                        args.notNegative("width", "The width"),
                        args.yes("ink")),
                new TextSpec.Anchor(
                        args.choice("along", Along.class), args.choice("across", Across.class)),
                args.point("x", "y").plus(shift),
                args.number("turn"),
                args.yes("mirrored"),
                way);
    }

    /** Along what is selected, from the place of it that is nearest to that given. */
    private static Optional<TextSpec.Way> way(Sketch sketch, Args args) {
        if (args.step().on().isEmpty()) {
            return Optional.empty();
        }
        Chain chain = chain(sketch.targets(args.step()));
        double length = chain.length();
        double at = chain.distanceAt(chain.nearest(args.point("x", "y")));
        boolean reversed = args.yes("reversed");
        Fit fit = args.choice("fit", Fit.class);
        return Optional.of(
                new TextSpec.Way(
                        chain,
                        reversed,
                        (reversed ? length - at : at) + args.number("from"),
                        args.number("distance"),
                        args.choice("measured", Across.class),
                        args.choice("stand", Turn.class),
                        fit == Fit.NONE
                                ? Optional.empty()
                                : Optional.of(
                                        new TextSpec.Fit(
                                                TextSpec.Mode.valueOf(fit.name()),
                                                args.notNegative("length", "The length")))));
    }

    private static Chain chain(List<Entity> entities) {
        if (entities.size() == 1) {
            return entities.get(0).chain();
        }
        List<Entity> left = new ArrayList<>(entities);
        List<Segment> segments = new ArrayList<>(left.remove(0).chain().segments());
        boolean more = true;
        while (more) {
            more = left.removeIf(e -> Joining.append(segments, e));
        }
        if (!left.isEmpty()) {
            throw new DrawException("A text runs along one chain; several are selected.");
        }
        return Joining.chain(segments);
    }
}
