package dev.oleander.value;

import java.util.List;
import java.util.function.Function;

/** What can be typed for a value. */
public sealed interface Form<T> {

    /** A number between limits; formulas and units of length are understood. */
    record Number<T>(double least, double most, boolean whole) implements Form<T> {}

    /**
     * One of a few words.
     *
     * @param possible for all of some subjects
     */
    record Words<T>(Function<List<Subject<T>>, List<Word>> possible) implements Form<T> {

        public List<Word> of(List<Subject<T>> subjects) {
            return possible.apply(subjects);
        }
    }

    /** Anything else: places, pairs, names. */
    record Text<T>() implements Form<T> {}
}
