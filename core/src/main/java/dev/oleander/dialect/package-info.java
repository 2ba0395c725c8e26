/**
 * Program formats described in files: writes a motion program as text and reads text back.
 *
 * <p>A {@link dev.oleander.dialect.Dialect} is a checked description. {@link
 * dev.oleander.dialect.DialectWriter} and {@link dev.oleander.dialect.DialectReader} share it and
 * nothing else, so that reading back proves the writing.
 *
 * <p>One package, since what writes and what reads a thing stand side by side, and the description
 * of a format is theirs alone.
 */
package dev.oleander.dialect;
