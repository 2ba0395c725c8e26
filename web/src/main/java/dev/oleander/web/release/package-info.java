/** Releases: proven programs that are never changed. Start at {@code ReleaseService}. */
package dev.oleander.web.release;
