package dev.oleander.web.job.document;

import java.util.Arrays;
import java.util.Optional;

/** A value that people set, by name. */
public interface EditField {

    /** As it stands in forms and in the HTTP interface: leadIn.length. */
    String word();

    /** As it stands in the list of changes: length of the lead-in. */
    String label();

    static <F extends EditField> Optional<F> ofWord(F[] fields, String word) {
        return Arrays.stream(fields).filter(f -> f.word().equals(word)).findFirst();
    }
}
