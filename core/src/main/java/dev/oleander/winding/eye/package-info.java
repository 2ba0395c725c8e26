/**
 * Where the eye runs that lays a band, and the axes of the machine for it. Start at {@link
 * dev.oleander.winding.eye.EyePath}.
 */
package dev.oleander.winding.eye;
