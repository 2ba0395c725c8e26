/**
 * What a round tool reaches of a pocket, and what it leaves: exact, with lines and arcs. Start at
 * {@link dev.oleander.work.router.pocket.Reach}.
 */
package dev.oleander.work.router.pocket;
