/**
 * What follows from the document of a job: its shape, its plan and proof, its picture; computed
 * once and kept in memory.
 */
package dev.oleander.web.job.result;
