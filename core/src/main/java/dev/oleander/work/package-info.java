/**
 * The seam between all that is alike in every job and the kinds of work: what a kind is, what it
 * plans. Each kind is a package of its own below this one, found as a service; no kind uses
 * another, and nothing above this package uses a kind.
 */
package dev.oleander.work;
