package dev.oleander.web.account;

/** Something about an account that cannot be; a sentence for people, and the field it is about. */
public final class AccountException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final boolean missing;

    AccountException(String field, String sentence) {
        this(field, sentence, false);
    }

    private AccountException(String field, String sentence, boolean missing) {
        super(sentence);
        this.field = field;
        this.missing = missing;
    }

    /** There is no such account or token. */
    static AccountException missing(String sentence) {
        return new AccountException("", sentence, true);
    }

    public boolean isMissing() {
        return missing;
    }

    public String field() {
        return field;
    }
}
