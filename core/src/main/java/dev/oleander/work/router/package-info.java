/** Milling on a flat table: tools, operations, depths. A kind of work in the making. */
package dev.oleander.work.router;
