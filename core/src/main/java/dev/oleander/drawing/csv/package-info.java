/** Reads lists of points. Start at {@link dev.oleander.drawing.csv.PointListReader}. */
package dev.oleander.drawing.csv;
