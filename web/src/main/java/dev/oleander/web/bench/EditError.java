package dev.oleander.web.bench;

/**
 * An edit that was not taken.
 *
 * @param field name of the field it was made in; empty when it belongs to none
 * @param typed what was typed
 */
public record EditError(String field, String typed, String sentence) {

    static final EditError NONE = new EditError("", "", "");

    public boolean isPresent() {
        return !sentence.isEmpty();
    }

    FieldView in(FieldView view) {
        return isPresent() && field.equals(view.name()) ? view.withError(typed, sentence) : view;
    }
}
