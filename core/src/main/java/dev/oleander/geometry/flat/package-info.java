/**
 * Lines and arcs as flat numbers: the hot loops of the kernel.
 *
 * <p>In: edges added one by one to {@link dev.oleander.geometry.flat.Edges}, in mm, loops one after
 * the other. Out: their common points ({@link dev.oleander.geometry.flat.Meeting}), what lies near
 * a place ({@link dev.oleander.geometry.flat.BoxTree}) and the faces into which they part the plane
 * ({@link dev.oleander.geometry.flat.Arrangement}). Nothing here knows the value types above;
 * people who want a result start at the offset and overlay packages.
 *
 * <p>One package, since its loops share arrays that nobody else may touch.
 */
package dev.oleander.geometry.flat;
