package dev.oleander.motion;

import java.util.List;

/** What a machine does, in order. It begins at the zero point with the head up. */
public record Program(List<Item> items) {

    public Program {
        items = List.copyOf(items);
    }

    public int size() {
        return items.size();
    }
}
