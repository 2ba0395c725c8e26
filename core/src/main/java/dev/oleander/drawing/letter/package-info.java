/** Letters: fonts that are read, text that is laid out on a line or along a path, its outlines. */
package dev.oleander.drawing.letter;
