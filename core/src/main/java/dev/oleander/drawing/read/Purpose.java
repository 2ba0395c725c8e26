package dev.oleander.drawing.read;

import java.util.Locale;
import java.util.regex.Pattern;

/** What is done with line work: cut through, mark on the surface, leave as a fold line, ignore. */
public enum Purpose {
    CUT,
    MARK,
    FOLD,
    IGNORE;

    private static final Pattern MARKS = Pattern.compile("mark|etch|scribe|engrav");
    private static final Pattern FOLDS = Pattern.compile("fold|bend");
    private static final Pattern NOTES =
            Pattern.compile("note|dim|text|hatch|cent(re|er)|frame|border|title|constr|hidden");

    /** What a layer is probably for, by the words in its name; cut when no word says otherwise. */
    public static Purpose guess(String layer) {
        String name = layer.toLowerCase(Locale.ROOT);
        if (MARKS.matcher(name).find()) {
            return MARK;
        }
        if (FOLDS.matcher(name).find()) {
            return FOLD;
        }
        return NOTES.matcher(name).find() ? IGNORE : CUT;
    }
}
