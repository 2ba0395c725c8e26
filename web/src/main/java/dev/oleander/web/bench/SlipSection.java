package dev.oleander.web.bench;

import java.util.List;

/** A part of the slip under a heading. */
public record SlipSection(String title, List<SlipRow> rows) {

    public SlipSection {
        rows = List.copyOf(rows);
    }
}
