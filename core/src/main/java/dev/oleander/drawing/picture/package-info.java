/** Pictures as line work: levels, outlines and centre lines as few lines and arcs, and dots. */
package dev.oleander.drawing.picture;
