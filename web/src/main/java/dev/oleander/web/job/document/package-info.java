/** What was decided about a job: one document, its fields, its JSON. */
package dev.oleander.web.job.document;
