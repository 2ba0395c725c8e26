/**
 * What the axes are told, and what is laid by it: the way of the eye with few points, and the band
 * worked out anew from the axes' positions.
 */
package dev.oleander.winding.program;
