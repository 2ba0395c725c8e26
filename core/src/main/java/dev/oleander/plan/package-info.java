/**
 * What is to be cut, on which stock, in which order: the plan of a job.
 *
 * <p>In: a {@link dev.oleander.drawing.read.Reading}, a machine with its cut book, and what people
 * decided ({@link dev.oleander.plan.PlanChoices}). Out: a {@link dev.oleander.plan.Run}. The
 * planners are in one sub-package per kind of work; start at {@code plan.sheet.SheetPlanner}.
 */
package dev.oleander.plan;
