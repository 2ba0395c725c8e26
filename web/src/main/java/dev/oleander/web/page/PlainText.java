package dev.oleander.web.page;

/** What text may hold. */
public final class PlainText {

    private PlainText() {}

    /**
     * Whether a text holds control characters that are no line breaks or tabs.
     *
     * @param text null: a field without a value
     */
    public static boolean isWrong(String text) {
        return text != null && text.chars().anyMatch(PlainText::isWrong);
    }

    private static boolean isWrong(int c) {
        return Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t';
    }
}
