/**
 * Plans of laser, plasma and waterjet: copies on a sheet, each feature drafted once and begun where
 * it has room on each copy.
 *
 * <p>In: a reading and choices. Out: a {@link dev.oleander.plan.Run}. Start at {@link
 * dev.oleander.work.sheet.plan.SheetPlanner}; {@code FeatureCutter} drafts one feature.
 */
package dev.oleander.work.sheet.plan;
