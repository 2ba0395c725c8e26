package dev.oleander.drawing.picture;

/**
 * Takes specks of ink and pin-holes out of a picture: what hangs together (ink also over corners,
 * paper not) and is smaller than some pixels.
 */
final class Specks {

    private static final int[] DX = {1, -1, 0, 0, 1, 1, -1, -1};
    private static final int[] DY = {0, 0, 1, -1, 1, -1, 1, -1};

    private final Ink ink;
    private final boolean[] is;
    private final boolean[] seen;
    private int[] piece = new int[64];

    private Specks(Ink ink) {
        this.ink = ink;
        this.is = ink.pixels();
        this.seen = new boolean[is.length];
    }

    /**
     * What was taken away.
     *
     * @param specks of ink
     * @param holes in it
     */
    record Gone(int specks, int holes) {}

    /**
     * @param speck pixels below which ink goes
     * @param hole pixels below which paper within ink goes
     */
    static Gone remove(Ink ink, int speck, int hole) {
        int specks = speck > 1 ? new Specks(ink).remove(true, speck) : 0;
        int holes = hole > 1 ? new Specks(ink).remove(false, hole) : 0;
        return new Gone(specks, holes);
    }

    private int remove(boolean dark, int least) {
        int gone = 0;
        for (int at = 0; at < is.length; at++) {
            if (is[at] == dark && !seen[at]) {
                int size = gather(at, dark);
                if (size > 0 && size < least) {
                    gone++;
                    for (int i = 0; i < size; i++) {
                        ink.set(piece[i] % ink.width(), piece[i] / ink.width(), !dark);
                    }
                }
            }
        }
        return gone;
    }

    /** Pixels that hang together with one; 0 when it is paper that reaches the border. */
    private int gather(int from, boolean dark) {
        int size = 0;
        boolean open = false;
        piece[size++] = from;
        seen[from] = true;
        int ways = dark ? 8 : 4;
        for (int next = 0; next < size; next++) {
            int x = piece[next] % ink.width();
            int y = piece[next] / ink.width();
            for (int way = 0; way < ways; way++) {
                int u = x + DX[way];
                int v = y + DY[way];
                if (u < 0 || v < 0 || u >= ink.width() || v >= ink.height()) {
                    open = true;
                    continue;
                }
                int at = v * ink.width() + u;
                if (is[at] == dark && !seen[at]) {
                    seen[at] = true;
                    if (size == piece.length) {
                        piece = java.util.Arrays.copyOf(piece, 2 * size);
                    }
                    piece[size++] = at;
                }
            }
        }
        return open && !dark ? 0 : size;
    }
}
