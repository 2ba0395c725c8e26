/**
 * Numbers as people type and read them: formulas, units, formatting.
 *
 * <p>In: text such as {@code 1/2 in + 0.4}. Out: values in mm, degrees or plain numbers, with the
 * text kept. Start at {@link dev.oleander.quantity.Formula}.
 */
package dev.oleander.quantity;
