/**
 * The order of the stops of a sheet: what must come first, travel, heat and loose stock, and how
 * the head goes round what may stand up. Start at {@link dev.oleander.work.sheet.order.Sequencer}.
 */
package dev.oleander.work.sheet.order;
