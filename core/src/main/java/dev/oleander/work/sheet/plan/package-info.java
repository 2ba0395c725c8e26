/**
 * Plans of laser, plasma and waterjet: copies on a sheet, kerf, leads, order.
 *
 * <p>In: a reading and choices. Out: a {@link dev.oleander.plan.Run}. Start at {@link
 * dev.oleander.work.sheet.plan.SheetPlanner}; {@code FeatureCutter} makes the path of one feature,
 * {@code LeadSearch} finds where it begins, {@code Sequencer} orders.
 */
package dev.oleander.work.sheet.plan;
