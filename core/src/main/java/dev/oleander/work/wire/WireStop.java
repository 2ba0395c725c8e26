package dev.oleander.work.wire;

import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.cut.WireSettings;
import java.util.List;

/** What the values of a stop of a wire machine are asked of: how it is cut, by which book. */
public record WireStop(WireSettings settings, WireBook book) {

    /** Those that the book has for the wire and the material. */
    public List<String> finishes() {
        return book.finishes(settings.row().wire(), settings.row().material());
    }
}
