package dev.oleander.drawing.mend;

/**
 * What may be mended without asking; lengths in mm.
 *
 * @param gap ends closer than this are joined; also how far doubled line work may lie apart
 * @param exact ends closer than this are the same point: the rounding of coordinates in files
 */
public record MendOptions(double gap, double exact) {

    public MendOptions {
        if (!(gap > 0 && exact > 0 && exact <= gap)) {
            throw new IllegalArgumentException("gap " + gap + ", exact " + exact);
        }
    }

    public static MendOptions defaults() {
        return new MendOptions(0.05, 1e-6);
    }

    public MendOptions withGap(double mm) {
        return new MendOptions(mm, Math.min(exact, mm));
    }
}
