/**
 * The screen of one job: run line, table and slip in five stages.
 *
 * <p>{@code BenchController} answers pages and fragments, {@code EditController} edits; both fill
 * one model ({@code BenchModel}) from view classes named for the region or stage they describe.
 * What the table draws goes out as numbers ({@code Scene}).
 *
 * <p>One package, since every fragment is filled from the same model: controllers, the views of the
 * regions, and what kinds of work add to them ({@code WorkPages}, {@code Fields}).
 */
package dev.oleander.web.bench;
