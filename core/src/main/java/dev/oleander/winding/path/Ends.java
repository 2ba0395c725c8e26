package dev.oleander.winding.path;

/** Both ends. */
public record Ends(End left, End right) {

    public static final Ends FREE = new Ends(End.FREE, End.FREE);

    public End at(Side side) {
        return side == Side.LEFT ? left : right;
    }

    public Ends with(Side side, End end) {
        return side == Side.LEFT ? new Ends(end, right) : new Ends(left, end);
    }
}
