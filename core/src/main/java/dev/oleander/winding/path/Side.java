package dev.oleander.winding.path;

/** An end of the mandrel. */
public enum Side {
    LEFT("left", -1),
    RIGHT("right", 1);

    private final String word;
    private final int sign;

    Side(String word, int sign) {
        this.word = word;
        this.sign = sign;
    }

    public String word() {
        return word;
    }

    /** +1 when m grows toward it. */
    public int sign() {
        return sign;
    }
}
