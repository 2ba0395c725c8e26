/** Jobs and their steps in the database. */
package dev.oleander.web.job.store;
