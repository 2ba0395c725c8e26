package dev.oleander.drawing.svg;

import dev.oleander.drawing.Style;
import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Walks the tree with what its elements take over from those round them. */
final class SvgWalker {

    private static final Set<String> GROUPS = Set.of("svg", "g", "a", "switch", "symbol");
    private static final Set<String> SHAPES =
            Set.of("path", "rect", "circle", "ellipse", "line", "polyline", "polygon");
    private static final Set<String> NOTES = Set.of("text", "image", "foreignObject");
    private static final int DEEPEST_USE = 40;
    private static final String NO_LAYER = "drawing";

    /** What an element takes over. */
    private record Context(
            Transform map,
            View view,
            String layer,
            String stroke,
            String fill,
            String dashes,
            boolean visible,
            Set<String> uses) {}

    private final Collector collector;
    private final SvgTree tree;
    private final StyleRules rules;

    SvgWalker(Collector collector, SvgTree tree) {
        this.collector = collector;
        this.tree = tree;
        this.rules = new StyleRules(tree.styles());
    }

    void walk(Viewport viewport) {
        Context page =
                new Context(
                        viewport.toPage(),
                        viewport.view(),
                        NO_LAYER,
                        "none",
                        "black",
                        "none",
                        true,
                        Set.of());
        walkChildren(tree.root(), inside(tree.root(), page));
    }

    private void walkChildren(SvgNode node, Context context) {
        node.children().forEach(child -> walk(child, context));
    }

    private void walk(SvgNode node, Context around) {
        collector.requireTime(node.line());
        String name = node.name();
        boolean drawn =
                GROUPS.contains(name) && !name.equals("symbol")
                        || SHAPES.contains(name)
                        || NOTES.contains(name)
                        || name.equals("use");
        if (!drawn) {
            return;
        }
        if ("none".equals(rules.own(node, "display"))) {
            skipHidden(node, around);
            return;
        }
        try {
            take(node, inside(node, around));
        } catch (UnreadableException unreadable) {
            collector.unreadable(name, around.layer(), node.line(), unreadable.getMessage());
        }
    }

    private void skipHidden(SvgNode node, Context around) {
        collector.requireTime(node.line());
        if (GROUPS.contains(node.name())) {
            node.children().forEach(c -> skipHidden(c, around));
        } else if (SHAPES.contains(node.name()) || node.name().equals("use")) {
            collector.skip(node.name(), around.layer(), "it is not displayed", false);
        }
    }

    private void take(SvgNode node, Context context) {
        if (NOTES.contains(node.name())) {
            collector.skip(node.name(), context.layer(), "a note, not line work", false);
        } else if (node.name().equals("use")) {
            use(node, context);
        } else if (SHAPES.contains(node.name())) {
            shape(node, context);
        } else {
            boolean opens = node.name().equals("svg");
            walkChildren(node, opens ? opened(node, node, context) : context);
        }
    }

    /**
     * A viewport within another one (SVG 2, 5.5 and 8.2).
     *
     * @param sized the element that says its size, which a use does before what it puts in
     * @throws UnreadableException when it has no size
     */
    private static Context opened(SvgNode node, SvgNode sized, Context c) {
        Point by =
                new Point(
                        Lengths.user(node, "x", 0, c.view()), Lengths.user(node, "y", 0, c.view()));
        double width = side(node, sized, "width", c.view());
        double height = side(node, sized, "height", c.view());
        if (!(width > 0 && height > 0)) {
            throw new UnreadableException("its viewport is not wider and higher than 0");
        }
        Optional<ViewBox> box = ViewBox.of(node);
        Transform fitted =
                box.map(b -> b.into(node.text("preserveAspectRatio"), width, height))
                        .orElse(Transform.IDENTITY);
        Transform map = fitted.then(Transform.translation(by)).then(c.map());
        View view = box.map(ViewBox::view).orElse(new View(width, height));
        return with(c, map, view, c.uses());
    }

    private static double side(SvgNode node, SvgNode sized, String side, View view) {
        double own = Lengths.user(node, side, view.whole(side), view);
        return sized == node ? own : Lengths.user(sized, side, own, view);
    }

    private static Transform shifted(SvgNode node, Context c) {
        Point by =
                new Point(
                        Lengths.user(node, "x", 0, c.view()), Lengths.user(node, "y", 0, c.view()));
        return Transform.translation(by).then(c.map());
    }

    private static Context with(Context c, Transform map, View view, Set<String> uses) {
        return new Context(
                map, view, c.layer(), c.stroke(), c.fill(), c.dashes(), c.visible(), uses);
    }

    private void use(SvgNode node, Context context) {
        String id = node.reference();
        SvgNode used = tree.byId(id);
        if (used == null) {
            throw new UnreadableException("there is no element \"%s\"".formatted(id));
        }
        if (context.uses().contains(id)) {
            throw new UnreadableException("\"%s\" contains itself".formatted(id));
        }
        if (context.uses().size() >= DEEPEST_USE) {
            throw new UnreadableException(
                    "uses lie in each other more than %d deep".formatted(DEEPEST_USE));
        }
        collector.insert(node.line());
        Set<String> uses = new LinkedHashSet<>(context.uses());
        uses.add(id);
        Context moved = with(context, shifted(node, context), context.view(), uses);
        boolean opens = used.name().equals("symbol") || used.name().equals("svg");
        if (opens && !"none".equals(rules.own(used, "display"))) {
            walkChildren(used, opened(used, node, inside(used, moved)));
        } else {
            walk(used, moved);
        }
    }

    private void shape(SvgNode node, Context context) {
        if (!context.visible()) {
            collector.skip(node.name(), context.layer(), "it is not visible", false);
            return;
        }
        Style style = new Style(context.layer(), colour(context), lineType(context));
        Collector.Source source =
                new Collector.Source(node.name(), style, node.line(), node.text("id"));
        List<Outline> outlines =
                new ShapeBuilder(collector, context.map(), context.view()).build(node);
        for (Outline outline : outlines) {
            Point place = context.map().apply(Point.ORIGIN);
            collector.add(source, outline, place);
        }
    }

    private static String colour(Context context) {
        boolean stroked = !context.stroke().equals("none");
        return Colours.named(stroked ? context.stroke() : context.fill());
    }

    private static String lineType(Context context) {
        boolean dashed = context.dashes().matches(".*[1-9].*");
        return dashed ? "dashed" : Style.CONTINUOUS;
    }

    private Context inside(SvgNode node, Context around) {
        boolean names = node.name().equals("g") && !node.text("id").isBlank();
        Transform own = Transforms.parse(node.text("transform"));
        String visibility = rules.own(node, "visibility");
        return new Context(
                own.then(around.map()),
                around.view(),
                names ? node.text("id").strip() : around.layer(),
                inherited(node, "stroke", around.stroke()),
                inherited(node, "fill", around.fill()),
                inherited(node, "stroke-dasharray", around.dashes()),
                visibility == null || visibility.equals("inherit")
                        ? around.visible()
                        : visibility.equals("visible"),
                around.uses());
    }

    private String inherited(SvgNode node, String property, String around) {
        String own = rules.own(node, property);
        return own == null || own.isBlank() || own.equals("inherit")
                ? around
                : own.strip().toLowerCase(Locale.ROOT);
    }
}
