/** Cutting parts out of sheets: with a laser, plasma, or water. */
package dev.oleander.work.sheet;
