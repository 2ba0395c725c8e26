/** How the circuits of a layer close, so that every band is laid once. */
package dev.oleander.winding.pattern;
