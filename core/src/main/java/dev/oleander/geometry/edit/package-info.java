/**
 * Exact changes of single chains: corners rounded or bevelled, chains cut, trimmed and extended.
 *
 * <p>In: a chain and a place on it. Out: a new chain; or an {@link
 * dev.oleander.geometry.edit.EditException} with the value that would do. Start at {@link
 * dev.oleander.geometry.edit.CornerRounder} and {@link dev.oleander.geometry.edit.ChainCutter}.
 */
package dev.oleander.geometry.edit;
