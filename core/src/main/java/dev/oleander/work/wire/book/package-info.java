/**
 * Data by which a wire cuts: passes by wire, material, height and finish ({@link
 * dev.oleander.work.wire.book.WireBook}); and the machines that ship.
 */
package dev.oleander.work.wire.book;
