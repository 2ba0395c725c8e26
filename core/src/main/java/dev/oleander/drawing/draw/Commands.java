package dev.oleander.drawing.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All commands of drawing, in the order they are offered in. */
public final class Commands {

    private static final Map<String, Command> ALL = all();

    private Commands() {}

    private static Map<String, Command> all() {
        List<Command> commands = new ArrayList<>();
        commands.addAll(LineCommands.all());
        commands.addAll(FigureCommands.all());
        commands.addAll(ShapeCommands.all());
        commands.addAll(FlangeCommands.all());
        commands.addAll(FittingCommands.all());
        commands.addAll(ChangeCommands.all());
        commands.addAll(StretchCommands.all());
        commands.addAll(CopyCommands.all());
        commands.addAll(TextCommands.all());
        commands.addAll(PictureCommands.all());
        commands.addAll(DotCommands.all());
        commands.addAll(CodeCommands.all());
        commands.addAll(BridgeCommands.all());
        commands.addAll(NoteCommands.all());
        Map<String, Command> byWord = new LinkedHashMap<>();
        commands.forEach(c -> byWord.put(c.word(), c));
        return byWord;
    }

    public static List<Command> list() {
        return List.copyOf(ALL.values());
    }

    public static Optional<Command> find(String word) {
        return Optional.ofNullable(ALL.get(word));
    }
}
