/**
 * Carving with a pointed tool, whose flanks meet the outline wherever it goes. In: regions and the
 * form of the tool. Out: ways of its tip. Start at {@link dev.oleander.work.router.carve.Carving}.
 */
package dev.oleander.work.router.carve;
