/**
 * Where copies lie and on what: the stock, its clamps, rows and columns. In: what people wish
 * ({@link dev.oleander.plan.bed.SheetChoices}) and a reading; out: a {@link
 * dev.oleander.plan.bed.SheetLayout}, or a {@link dev.oleander.plan.bed.PlanException} with a
 * sentence. Start at {@link dev.oleander.plan.bed.LayoutPlanner}.
 */
package dev.oleander.plan.bed;
