/**
 * Data by which sheets are cut: a table of rows by material, thickness and quality, or the equation
 * of a waterjet ({@link dev.oleander.work.sheet.book.CutBook}); and the machines that ship.
 */
package dev.oleander.work.sheet.book;
