/**
 * The path of one contour and what lies along it: half a kerf off the line, round corners, tabs,
 * common lines. What a stop on a sheet has of its own is a {@link
 * dev.oleander.work.sheet.cut.SheetCut}.
 */
package dev.oleander.work.sheet.cut;
