package dev.oleander.machine;

import dev.oleander.book.Book;
import java.net.URL;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * What a kind of work knows of its machines: which ship, what they have besides, by which book they
 * work. Implementations have no state and are registered as services.
 */
public interface MachineKind {

    /** Word of the kind of work. */
    String work();

    /** Files of the machines that ship, in the order in which people see them. */
    List<URL> files();

    /** Descriptions of the formats of their programs, by name. */
    Map<String, URL> formats();

    /**
     * What a machine has besides.
     *
     * @param given what its file says under the word of the kind; missing when it says nothing
     */
    MachineUnit unit(JsonNode given);

    /**
     * Its book.
     *
     * @param file the whole of its file
     */
    Book<?> book(Machine machine, JsonNode file);
}
