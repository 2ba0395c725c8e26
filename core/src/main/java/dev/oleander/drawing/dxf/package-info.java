/**
 * Reads drawings in the published text form of DXF.
 *
 * <p>In: bytes of a file. Out: a {@link dev.oleander.drawing.Drawing}. Start at {@link
 * dev.oleander.drawing.dxf.DxfReader}. The file is a sequence of pairs, a group code and a value on
 * a line each ({@code GroupReader}); pairs are gathered into records, one per code 0 ({@code
 * DxfRecord}), and records become entities ({@code EntityBuilder}).
 */
package dev.oleander.drawing.dxf;
