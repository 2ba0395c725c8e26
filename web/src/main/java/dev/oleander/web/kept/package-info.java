/** Shapes with their values that the shop keeps under a name. */
package dev.oleander.web.kept;
