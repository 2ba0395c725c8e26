/**
 * Reads drawings in SVG: paths, basic shapes, transforms, viewBox and units, {@code use}, style.
 *
 * <p>In: bytes of a file. Out: a {@link dev.oleander.drawing.Drawing}, y up. Start at {@link
 * dev.oleander.drawing.svg.SvgReader}. The text becomes a tree ({@code SvgTree}), which is walked
 * with transforms and styles ({@code SvgWalker}); shapes become outlines ({@code ShapeBuilder}).
 */
package dev.oleander.drawing.svg;
