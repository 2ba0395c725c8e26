/**
 * Puts line work in order: doubles go, gaps close, pieces become chains and contours.
 *
 * <p>In: the entities of one purpose. Out: {@link dev.oleander.drawing.mend.Mended}, chains with
 * the entities they came from, and what was found. Start at {@link
 * dev.oleander.drawing.mend.Mender}.
 *
 * <p>One package, since every step is one class and all of them work on the same pieces.
 */
package dev.oleander.drawing.mend;
