/**
 * The document of a job and what follows from it.
 *
 * <p>{@link dev.oleander.web.job.JobService} keeps documents as a chain of immutable steps; {@link
 * dev.oleander.web.job.result.JobComputer} computes a {@link dev.oleander.web.job.result.JobResult}
 * from one; {@link dev.oleander.web.job.StageReport} says what each stage still needs. The classes
 * named for edits turn what people type into documents.
 */
package dev.oleander.web.job;
