package dev.oleander.web.counter;

/** A number is given only once. */
public class NumberTakenException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    NumberTakenException(ShopCounters.Use use, long wanted, long next) {
        super(
                "Number %d of \"%s\" was used in revision %s of job %d; the next is %d."
                        .formatted(
                                Math.max(wanted, use.first()),
                                use.counter(),
                                use.revision(),
                                use.job(),
                                next));
    }
}
