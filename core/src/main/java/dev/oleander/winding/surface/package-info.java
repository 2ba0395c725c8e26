/** Mandrels that are wound: surfaces of revolution, by the arc length of their meridian. */
package dev.oleander.winding.surface;
