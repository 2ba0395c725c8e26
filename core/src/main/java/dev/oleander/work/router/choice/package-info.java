/** What people decide about the work of a router. */
package dev.oleander.work.router.choice;
