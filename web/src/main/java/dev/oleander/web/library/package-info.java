/** Machines and their data, as pages. */
package dev.oleander.web.library;
