/** Codes of two dimensions: texts that scanners read, as modules that are cut or marked. */
package dev.oleander.drawing.code;
