package dev.oleander.web.load;

/** There is more to do than can be done at this moment. */
public final class TooBusyException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public TooBusyException(String sentence) {
        super(sentence);
    }
}
