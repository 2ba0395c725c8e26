package dev.oleander.plan.wire;

/**
 * What a person set for a stop of a wire machine, in groups.
 *
 * @param upper another contour at the upper side; null: none
 */
public record WireChoice(
        EntryChoice entry,
        PassChoice passes,
        SlugChoice slug,
        TaperChoice taper,
        UpperChoice upper) {

    public static final WireChoice NOTHING =
            new WireChoice(
                    EntryChoice.NOTHING,
                    PassChoice.NOTHING,
                    SlugChoice.NOTHING,
                    TaperChoice.NOTHING,
                    null);

    public WireChoice {
        entry = entry == null ? EntryChoice.NOTHING : entry;
        passes = passes == null ? PassChoice.NOTHING : passes;
        slug = slug == null ? SlugChoice.NOTHING : slug;
        taper = taper == null ? TaperChoice.NOTHING : taper;
    }

    public boolean isNothing() {
        return equals(NOTHING);
    }

    /** Values set here, before those of {@code other}. */
    public WireChoice over(WireChoice other) {
        return new WireChoice(
                entry.over(other.entry),
                passes.over(other.passes),
                slug.over(other.slug),
                taper.over(other.taper),
                upper != null ? upper : other.upper);
    }

    /** What makes sense for other contours too: not where on this one something lies. */
    public WireChoice asRecipe() {
        return new WireChoice(
                entry.withHole(null).withStart(null),
                passes,
                slug.withAt(null),
                new TaperChoice(taper.angle(), null, taper.corners(), null, taper.land()),
                null);
    }

    public WireChoice withEntry(EntryChoice value) {
        return new WireChoice(value, passes, slug, taper, upper);
    }

    public WireChoice withPasses(PassChoice value) {
        return new WireChoice(entry, value, slug, taper, upper);
    }

    public WireChoice withSlug(SlugChoice value) {
        return new WireChoice(entry, passes, value, taper, upper);
    }

    public WireChoice withTaper(TaperChoice value) {
        return new WireChoice(entry, passes, slug, value, upper);
    }

    public WireChoice withUpper(UpperChoice value) {
        return new WireChoice(entry, passes, slug, taper, value);
    }
}
