/**
 * Work that takes long, done by whichever node has room: queued in the database, fair between
 * people, told and stopped from every node, taken over when a node dies. Knows no kind of work.
 */
package dev.oleander.web.longwork;
