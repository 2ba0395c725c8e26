/** The whole plan of a job on a router: where copies lie, all stops in their order, their feeds. */
package dev.oleander.work.router.run;
