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

    void walk(Transform toPage) {
        Context page = new Context(toPage, NO_LAYER, "none", "black", "none", true, Set.of());
        walkChildren(tree.root(), inside(tree.root(), page));
    }

    private void walkChildren(SvgNode node, Context context) {
        node.children().forEach(child -> walk(child, context));
    }

    private void walk(SvgNode node, Context around) {
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
            Transform map = context.map();
            if (node.name().equals("svg")) {
                map = shifted(node, map);
            }
            walkChildren(node, with(context, map, context.uses()));
        }
    }

    private static Transform shifted(SvgNode node, Transform map) {
        Point by = new Point(Lengths.user(node, "x", 0), Lengths.user(node, "y", 0));
        return Transform.translation(by).then(map);
    }

    private static Context with(Context c, Transform map, Set<String> uses) {
        return new Context(map, c.layer(), c.stroke(), c.fill(), c.dashes(), c.visible(), uses);
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
        Context moved = with(context, shifted(node, context.map()), uses);
        if (used.name().equals("symbol")) {
            walkChildren(used, inside(used, moved));
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
        List<Outline> outlines = new ShapeBuilder(collector, context.map()).build(node);
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
