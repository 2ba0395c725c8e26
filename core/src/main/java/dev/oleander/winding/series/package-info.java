/** Smooth functions as polynomials in panels: evaluated, integrated, turned round. */
package dev.oleander.winding.series;
