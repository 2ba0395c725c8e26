/**
 * What the material does while it is cut: which pieces come free and when, what becomes of them
 * between the slats, and what is left of the drawing in the end.
 */
package dev.oleander.material;
