/** Bridges: strips of material that hold what would fall out of a sheet. */
package dev.oleander.drawing.bridge;
