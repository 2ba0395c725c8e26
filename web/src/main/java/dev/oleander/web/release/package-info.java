/**
 * Releases: proven programs that are never changed. Start at {@code ReleaseService}.
 *
 * <p>One package: what is released, what it is verified by and what is printed of it share the
 * record of a release, which nothing outside may make.
 */
package dev.oleander.web.release;
