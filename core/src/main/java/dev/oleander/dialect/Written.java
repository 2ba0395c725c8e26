package dev.oleander.dialect;

import java.util.List;

/**
 * A program as text.
 *
 * @param lines without their ends
 * @param itemOfLine for each line the position of the item it writes, -1 for lines of the frame
 */
public record Written(List<String> lines, List<Integer> itemOfLine, String lineEnd) {

    public Written {
        lines = List.copyOf(lines);
        itemOfLine = List.copyOf(itemOfLine);
    }

    public String text() {
        return String.join(lineEnd, lines) + lineEnd;
    }
}
