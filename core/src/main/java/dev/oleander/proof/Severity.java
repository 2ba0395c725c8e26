package dev.oleander.proof;

/** What a finding asks for. */
public enum Severity {
    /** blocks the release */
    MUST_FIX("must fix"),
    /** a person accepts it with a reason, or changes the plan */
    LOOK("look"),
    /** worth knowing */
    NOTE("note");

    private final String word;

    Severity(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
