package dev.oleander.web.format;

import java.util.List;

/** A description that cannot be saved, with all that stands against it. */
public final class FormatRefusedException extends RuntimeException {

    private final transient List<String> reasons;

    FormatRefusedException(List<String> reasons) {
        super(String.join(" ", reasons));
        this.reasons = List.copyOf(reasons);
    }

    public List<String> reasons() {
        return reasons;
    }
}
