package dev.oleander.drawing.read;

import dev.oleander.quantity.Numbers;

/**
 * What a closed contour looks like, with its sizes in mm.
 *
 * @param length greatest size: of a circle its diameter, of a keyhole from end to end, of a regular
 *     polygon across its corners
 * @param width across; of a keyhole that of its slot, of a regular polygon across its flats
 * @param radius of rounded corners; of a keyhole that of its head; else 0
 * @param sides of a regular polygon; else 0
 */
public record Form(Kind kind, double length, double width, double radius, int sides) {

    /** Forms that shops have names for. */
    public enum Kind {
        CIRCLE("round"),
        SLOT("slot"),
        KEYHOLE("keyhole"),
        RECTANGLE("rectangle"),
        REGULAR("polygon"),
        OTHER("free form");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    static Form other(double length, double width) {
        return new Form(Kind.OTHER, length, width, 0, 0);
    }

    /** Name and sizes: Slot 40 × 10, Rectangle 30 × 20 R3, Keyhole Ø 20 to 8, 35 long. */
    public String label() {
        return switch (kind) {
            case CIRCLE -> "Ø " + size(length);
            case SLOT -> "Slot " + size(length) + " × " + size(width);
            case KEYHOLE ->
                    "Keyhole Ø "
                            + size(2 * radius)
                            + " to "
                            + size(width)
                            + ", "
                            + size(length)
                            + " long";
            case RECTANGLE ->
                    "Rectangle "
                            + size(length)
                            + " × "
                            + size(width)
                            + (radius > 0 ? " R" + size(radius) : "");
            case REGULAR -> name(sides) + " " + size(width) + " across flats";
            case OTHER -> size(length) + " × " + size(width);
        };
    }

    private static String name(int sides) {
        return switch (sides) {
            case 3 -> "Triangle";
            case 5 -> "Pentagon";
            case 6 -> "Hexagon";
            case 8 -> "Octagon";
            default -> sides + "-sided";
        };
    }

    private static String size(double mm) {
        return Numbers.plain(mm, 2);
    }
}
