package dev.oleander.drawing.dxf;

/** Colours as the published format numbers them. */
final class Colours {

    static final int BY_BLOCK = 0;
    static final int BY_LAYER = 256;

    private static final String[] NAMES = {
        "by block",
        "red",
        "yellow",
        "green",
        "cyan",
        "blue",
        "magenta",
        "black",
        "grey",
        "light grey"
    };

    private Colours() {}

    static String named(int index) {
        return index >= 0 && index < NAMES.length ? NAMES[index] : "colour " + index;
    }

    /** True colour of a record (group 420), or what its index gave. */
    static String of(DxfRecord record, String ofIndex) {
        int rgb = record.integer(420, -1);
        return rgb < 0 ? ofIndex : String.format("#%06x", rgb & 0xFFFFFF);
    }
}
