package dev.oleander.web.bench;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * A drawing command as it is offered beside the table.
 *
 * @param shortLabel word on its button
 * @param icon its picture
 * @param key second key, after d
 * @param first whether it is always in sight; others are one click away
 */
public record CommandView(
        String word,
        String label,
        Command.Group group,
        String shortLabel,
        String icon,
        String key,
        boolean first) {

    private record Look(String shortLabel, String icon, String key, boolean first) {}

    private static final Map<String, Look> LOOKS =
            Map.ofEntries(
                    look("line", "Line", "slash-lg", "l", true),
                    look("arc", "Arc", "rainbow", "a", true),
                    look("circle", "Circle", "circle", "c", true),
                    look("rectangle", "Rectangle", "square", "r", true),
                    look("slot", "Slot", "capsule", "s", true),
                    look("polygon", "Polygon", "hexagon", "p", true),
                    look("text", "Text", "fonts", "w", true),
                    look("offset", "Offset", "front", "o", true),
                    look("trim", "Trim", "scissors", "t", true),
                    look("extend", "Extend", "arrow-bar-right", "e", true),
                    look("split", "Split", "vr", "x", true),
                    look("fillet", "Round", "bounding-box-circles", "f", true),
                    look("chamfer", "Bevel", "octagon", "b", true),
                    look("delete", "Delete", "trash3", "Delete", true),
                    look("move", "Move", "arrows-move", "m", false),
                    look("copy", "Copy", "copy", "y", false),
                    look("rotate", "Turn", "arrow-clockwise", "u", false),
                    look("mirror", "Mirror", "symmetry-vertical", "i", false),
                    look("rows", "Rows", "grid-3x2-gap", "g", false),
                    look("round", "Round a centre", "asterisk", "h", false),
                    look("join", "Join", "link-45deg", "j", false),
                    look("meet", "Corner", "arrow-90deg-up", "k", false),
                    look("dimension", "Dimension", "arrows", "n", false),
                    look("guide", "Construction line", "distribute-horizontal", "q", false));

    private static Map.Entry<String, Look> look(
            String word, String shortLabel, String icon, String key, boolean first) {
        return Map.entry(word, new Look(shortLabel, icon, key, first));
    }

    /** A menu of further commands. */
    public record Menu(String label, List<CommandView> commands) {}

    /** One row above the table: what is always in sight, then what is one click away. */
    public record Row(List<CommandView> buttons, List<Menu> menus) {}

    /** All rows. */
    public record Bar(List<Row> rows) {}

    /** What is drawn anew in the first row, what changes something in the second. */
    static Bar bar() {
        List<CommandView> all = Commands.list().stream().map(CommandView::view).toList();
        Predicate<CommandView> draws =
                c -> c.in(Command.Group.LINES) || c.in(Command.Group.FIGURES);
        Predicate<CommandView> changes = c -> c.in(Command.Group.CHANGES);
        Row first =
                new Row(
                        only(all, draws.and(CommandView::first)),
                        List.of(
                                new Menu("Whole parts", only(all, c -> c.in(Command.Group.SHAPES))),
                                new Menu(
                                        "More lines",
                                        only(
                                                all,
                                                draws.and(c -> !c.first())
                                                        .or(c -> c.in(Command.Group.NOTES))))));
        Row second =
                new Row(
                        only(all, changes.and(CommandView::first)),
                        List.of(
                                new Menu("Move, copy", only(all, c -> c.in(Command.Group.COPIES))),
                                new Menu("Join", only(all, changes.and(c -> !c.first())))));
        return new Bar(List.of(first, second));
    }

    private boolean in(Command.Group wanted) {
        return group == wanted;
    }

    private static List<CommandView> only(List<CommandView> all, Predicate<CommandView> wanted) {
        return all.stream().filter(wanted).toList();
    }

    private static CommandView view(Command command) {
        Look look = LOOKS.getOrDefault(command.word(), new Look(command.label(), "", "", false));
        String key = look.key().isEmpty() ? null : keys(look.key());
        return new CommandView(
                command.word(),
                command.label(),
                command.group(),
                look.shortLabel(),
                look.icon(),
                key,
                look.first());
    }

    private static String keys(String second) {
        return second.length() == 1 ? "d " + second : second;
    }
}
