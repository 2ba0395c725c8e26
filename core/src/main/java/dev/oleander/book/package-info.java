/**
 * The books of data by which machines work: rows for a material at a thickness, found,
 * interpolated, changed, read and written as text, whatever kind of work they are for.
 */
package dev.oleander.book;
