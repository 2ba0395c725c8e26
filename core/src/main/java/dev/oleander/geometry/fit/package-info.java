/**
 * Curves as lines and arcs, and lines and arcs as points.
 *
 * <p>In: dense points of a curve, or a curve as a function; a tolerance in mm. Out: paths of few
 * lines and arcs, tangent where the source is smooth ({@link dev.oleander.geometry.fit.ArcFitter},
 * with points from {@link dev.oleander.geometry.fit.CurveSampler} for a function), chains mapped by
 * any affine map ({@link dev.oleander.geometry.fit.Mapper}), or chords ({@link
 * dev.oleander.geometry.fit.Flattener}).
 */
package dev.oleander.geometry.fit;
