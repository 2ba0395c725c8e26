/** What a layer of bands covers: edges, gaps and laps on each circle, thickness. */
package dev.oleander.winding.cover;
