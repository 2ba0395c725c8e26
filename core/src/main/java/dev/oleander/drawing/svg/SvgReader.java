package dev.oleander.drawing.svg;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.quantity.LengthUnit;

/** Reads an SVG file; layers are the ids of the groups. */
public final class SvgReader {

    private final ImportOptions options;

    public SvgReader(ImportOptions options) {
        this.options = options;
    }

    /**
     * @param name of the file, for messages
     * @throws DrawingException when it is no SVG, not well formed, holds scripts, entities or links
     *     to the outside, is too large or holds no line work
     */
    public Drawing read(String name, byte[] bytes) {
        SvgTree tree = SvgTree.read(name, bytes);
        Collector collector = new Collector(name, options);
        LengthUnit asked = options.unit().orElse(null);
        Viewport page = viewport(name, tree, asked);
        new SvgWalker(collector, tree).walk(page);
        LengthUnit taken = asked != null ? asked : page.declared().orElse(LengthUnit.PIXEL);
        return collector.drawing(page.declared(), taken);
    }

    private static Viewport viewport(String name, SvgTree tree, LengthUnit asked) {
        try {
            return Viewport.of(tree.root(), asked);
        } catch (UnreadableException unusable) {
            throw new DrawingException(
                    name,
                    tree.root().line(),
                    "%s cannot be read: %s (line %d)."
                            .formatted(name, unusable.getMessage(), tree.root().line()));
        }
    }
}
