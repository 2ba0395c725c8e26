/** What lies on a mandrel, station by station, and as a mesh for strength calculations. */
package dev.oleander.winding.mesh;
