package dev.oleander.plan;

import dev.oleander.drawing.revise.Carrying;

/**
 * What a person set for one stop, or for all copies of a feature.
 *
 * @param <S> itself
 */
public interface Choice<S extends Choice<S>> {

    /** Whether nothing was set. */
    boolean isNothing();

    /** Values set here, before those of another. */
    S over(S other);

    /** What makes sense for other contours too: not where on this one something lies. */
    S asRecipe();

    /** The rest: what {@link #asRecipe} leaves. */
    S ofPlace();

    /** The same for what the feature of a key became in a new version of the drawing. */
    S carried(String key, Carrying to);
}
