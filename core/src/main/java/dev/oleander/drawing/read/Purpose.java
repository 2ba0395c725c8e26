package dev.oleander.drawing.read;

import dev.oleander.drawing.Style;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What is done with line work: cut through, mark on the surface, leave as a fold line, take as a
 * start hole that is drilled before, ignore.
 */
public enum Purpose {
    CUT,
    MARK,
    FOLD,
    START,
    IGNORE;

    private static final Pattern MARKS = Pattern.compile("mark|etch|scribe|engrav");
    private static final Pattern FOLDS = Pattern.compile("fold|bend");
    private static final Pattern STARTS = Pattern.compile("start.?hole|thread.?hole|pilot");
    private static final Pattern NOTES =
            Pattern.compile("note|dim|text|hatch|cent(re|er)|frame|border|title|constr|hidden");
    private static final Pattern CENTRES = Pattern.compile("cent(re|er)|phantom|hidden");

    /** What a layer is probably for, by the words in its name; cut when no word says otherwise. */
    public static Purpose guess(String layer) {
        String name = layer.toLowerCase(Locale.ROOT);
        if (MARKS.matcher(name).find()) {
            return MARK;
        }
        if (FOLDS.matcher(name).find()) {
            return FOLD;
        }
        if (STARTS.matcher(name).find()) {
            return START;
        }
        return NOTES.matcher(name).find() ? IGNORE : CUT;
    }

    /** The same with the line type: centre lines and hidden edges are not cut. */
    static Purpose guess(Style style) {
        Purpose ofLayer = guess(style.layer());
        boolean centre = ofLayer == CUT && CENTRES.matcher(style.lineType()).find();
        return centre ? IGNORE : ofLayer;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Purpose> ofWord(String word) {
        return Arrays.stream(values()).filter(p -> p.word().equalsIgnoreCase(word)).findFirst();
    }
}
