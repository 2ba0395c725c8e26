/** The drawing files that jobs are made of, as people bring them. */
package dev.oleander.web.job.source;
