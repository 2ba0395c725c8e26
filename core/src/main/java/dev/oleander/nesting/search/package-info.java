/**
 * How a nest is found: parts may overlap, and are pushed apart while the room shrinks.
 *
 * <p>Parts are seen as bodies: grown by half the gap and flattened outwards, so that what is free
 * here is free in truth. Start at {@link dev.oleander.nesting.search.Nester}.
 */
package dev.oleander.nesting.search;
