package dev.oleander.drawing.svg;

/** The size of the nearest viewport in user units, which percentages are shares of (SVG 2, 8.9). */
record View(double width, double height) {

    /** What a whole of an attribute is: along x, along y, or the diagonal over the root of two. */
    double whole(String attribute) {
        return switch (attribute) {
            case "x", "x1", "x2", "cx", "rx", "width" -> width;
            case "y", "y1", "y2", "cy", "ry", "height" -> height;
            default -> Math.sqrt((width * width + height * height) / 2);
        };
    }
}
