package dev.oleander.geometry.flat;

import java.util.function.Function;

/** Does a computation again with a larger tolerance while edges cannot be told apart. */
public final class Tries {

    /** How much more easily edges meet each time. */
    private static final double COARSER = 32;

    private static final int MOST = 4;

    private Tries() {}

    /**
     * The result in the first frame in which the edges can be told apart.
     *
     * @throws KnotException when they cannot in any; its place is that of the caller, not the
     *     frame's
     */
    public static <T> T in(Frame frame, Function<Frame, T> work) {
        Frame at = frame;
        KnotException last = null;
        for (int n = 0; n < MOST; n++) {
            try {
                return work.apply(at);
            } catch (KnotException knot) {
                last =
                        new KnotException(
                                knot.x() + frame.x(), knot.y() + frame.y(), at.tolerance());
                at = at.coarser(COARSER);
            }
        }
        throw last;
    }
}
