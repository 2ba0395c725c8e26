package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choice;

/**
 * What a person set for a stop of a wire machine, in groups.
 *
 * @param upper another contour at the upper side; null: none
 * @param repeat how it is repeated; for all copies of a contour only
 */
public record WireChoice(
        EntryChoice entry,
        PassChoice passes,
        SlugChoice slug,
        TaperChoice taper,
        UpperChoice upper,
        RepeatChoice repeat)
        implements Choice<WireChoice> {

    public static final WireChoice NOTHING =
            new WireChoice(
                    EntryChoice.NOTHING,
                    PassChoice.NOTHING,
                    SlugChoice.NOTHING,
                    TaperChoice.NOTHING,
                    null,
                    RepeatChoice.NOTHING);

    public WireChoice {
        entry = entry == null ? EntryChoice.NOTHING : entry;
        passes = passes == null ? PassChoice.NOTHING : passes;
        slug = slug == null ? SlugChoice.NOTHING : slug;
        taper = taper == null ? TaperChoice.NOTHING : taper;
        repeat = repeat == null ? RepeatChoice.NOTHING : repeat;
    }

    @Override
    public boolean isNothing() {
        return equals(NOTHING);
    }

    @Override
    public WireChoice over(WireChoice other) {
        return new WireChoice(
                entry.over(other.entry),
                passes.over(other.passes),
                slug.over(other.slug),
                taper.over(other.taper),
                upper != null ? upper : other.upper,
                repeat.equals(RepeatChoice.NOTHING) ? other.repeat : repeat);
    }

    @Override
    public WireChoice asRecipe() {
        return new WireChoice(
                entry.withHole(null).withStart(null),
                passes,
                slug.withAt(null),
                new TaperChoice(taper.angle(), null, taper.corners(), null, taper.land()),
                null,
                RepeatChoice.NOTHING);
    }

    /** Where on this contour something lies, and what is above it. */
    @Override
    public WireChoice ofPlace() {
        return new WireChoice(
                EntryChoice.NOTHING.withHole(entry.hole()).withStart(entry.start()),
                PassChoice.NOTHING,
                SlugChoice.NOTHING.withAt(slug.at()),
                new TaperChoice(null, taper.elements(), null, taper.cornerOf(), null),
                upper,
                repeat);
    }

    /** When the contour above it moved or is gone, the feature is stale. */
    @Override
    public WireChoice carried(String key, Carrying to) {
        UpperChoice above = upper == null ? null : upper.carried(key, to).orElse(null);
        if (upper != null && !to.isSame(upper.feature())) {
            to.makeStale(key);
        }
        return new WireChoice(
                entry.carried(key, to),
                passes,
                slug.withAt(to.along(key, slug.at())),
                taper.carried(key, to),
                above,
                repeat.carried(key, to));
    }

    public WireChoice withEntry(EntryChoice value) {
        return new WireChoice(value, passes, slug, taper, upper, repeat);
    }

    public WireChoice withPasses(PassChoice value) {
        return new WireChoice(entry, value, slug, taper, upper, repeat);
    }

    public WireChoice withSlug(SlugChoice value) {
        return new WireChoice(entry, passes, value, taper, upper, repeat);
    }

    public WireChoice withTaper(TaperChoice value) {
        return new WireChoice(entry, passes, slug, value, upper, repeat);
    }

    public WireChoice withUpper(UpperChoice value) {
        return new WireChoice(entry, passes, slug, taper, value, repeat);
    }

    public WireChoice withRepeat(RepeatChoice value) {
        return new WireChoice(entry, passes, slug, taper, upper, value);
    }
}
