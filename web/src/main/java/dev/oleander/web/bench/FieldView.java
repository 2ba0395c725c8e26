package dev.oleander.web.bench;

/**
 * A value of the slip.
 *
 * @param name of the field in forms
 * @param text as it was typed, or the computed value; empty when the selected stops differ
 * @param meaning the value in its unit when it was typed otherwise; empty when that is the same
 * @param source where it comes from, in a word
 * @param here whether it was set here and can be put back
 * @param mixed whether the selected stops differ
 * @param error sentence about what was typed; empty when it was taken
 */
public record FieldView(
        String name,
        String label,
        String text,
        String meaning,
        String unit,
        String source,
        boolean here,
        boolean mixed,
        String error) {

    FieldView withError(String typed, String sentence) {
        return new FieldView(name, label, typed, "", unit, source, here, false, sentence);
    }

    /** The same with what was typed put in numbers. */
    FieldView meaning(String value) {
        return new FieldView(name, label, text, value, unit, source, here, mixed, error);
    }

    /** The same where what is selected differs. */
    FieldView differing() {
        return new FieldView(name, label, "", "", unit, "differs", false, true, error);
    }

    /** The same called otherwise. */
    public FieldView called(String other) {
        return new FieldView(name, other, text, meaning, unit, source, here, mixed, error);
    }

    public boolean hasError() {
        return !error.isEmpty();
    }
}
