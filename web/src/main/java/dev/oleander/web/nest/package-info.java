/** Nests: parts of many jobs on sheets, searched for as long work, with results side by side. */
package dev.oleander.web.nest;
