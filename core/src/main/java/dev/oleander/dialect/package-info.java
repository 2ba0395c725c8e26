/**
 * Program formats described in files: writes a motion program as text and reads text back.
 *
 * <p>A {@link dev.oleander.dialect.Dialect} is a checked description. {@link
 * dev.oleander.dialect.DialectWriter} and {@link dev.oleander.dialect.DialectReader} share it and
 * nothing else, so that reading back proves the writing.
 */
package dev.oleander.dialect;
