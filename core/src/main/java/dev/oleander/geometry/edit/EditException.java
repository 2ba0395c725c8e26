package dev.oleander.geometry.edit;

import dev.oleander.geometry.GeometryException;
import dev.oleander.geometry.Point;
import java.util.Locale;

/** A change that does not fit the chain; says where and what would. */
public final class EditException extends GeometryException {

    EditException(Point place, String sentence, Object... values) {
        super(String.format(Locale.ROOT, sentence, values), place);
    }
}
