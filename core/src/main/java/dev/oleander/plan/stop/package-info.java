/**
 * An entry of the run line: its head, the way of the tool, why it is refused ({@link
 * dev.oleander.plan.stop.Stop}); what only a kind of work has of it is its {@link
 * dev.oleander.plan.stop.StopWork}.
 */
package dev.oleander.plan.stop;
