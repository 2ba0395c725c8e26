package dev.oleander.dialect;

import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import java.util.Map;
import java.util.StringJoiner;
import java.util.TreeMap;

/**
 * One item as a row of a table of moves; what does not apply is empty. All numbers are texts in the
 * format's number forms.
 *
 * @param move rapid, line, left or right (arcs), plunge (at one place), sync (two planes), or the
 *     word of an event
 * @param z height at the end; only in tables of programs with heights, and so is turn
 * @param on 1 or 0
 * @param values of an event: names and numbers, as in seconds=0.6; power=3400
 */
@JsonPropertyOrder({
    "move", "x", "y", "z", "turn", "u", "v", "centreX", "centreY", "feed", "on", "values", "text"
})
record MoveRow(
        String move,
        String x,
        String y,
        String z,
        String turn,
        String u,
        String v,
        String centreX,
        String centreY,
        String feed,
        String on,
        String values,
        String text) {

    static final String RAPID = "rapid";
    static final String LINE = "line";
    static final String LEFT = "left";
    static final String RIGHT = "right";
    static final String PLUNGE = "plunge";
    static final String SYNC = "sync";

    /** A row may end before its last columns: they are empty. */
    MoveRow {
        move = given(move);
        x = given(x);
        y = given(y);
        z = given(z);
        turn = given(turn);
        u = given(u);
        v = given(v);
        centreX = given(centreX);
        centreY = given(centreY);
        feed = given(feed);
        on = given(on);
        values = given(values);
        text = given(text);
    }

    private static String given(String cell) {
        return cell == null ? "" : cell;
    }

    static MoveRow event(String word, Map<String, String> values, String text) {
        StringJoiner pairs = new StringJoiner("; ");
        new TreeMap<>(values).forEach((name, value) -> pairs.add(name + "=" + value));
        return new MoveRow(word, "", "", "", "", "", "", "", "", "", "", pairs.toString(), text);
    }
}
