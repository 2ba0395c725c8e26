/**
 * What people decide about cutting with a wire: for the job ({@link
 * dev.oleander.work.wire.choice.WireChoices}) and for a stop, in groups ({@link
 * dev.oleander.work.wire.choice.WireChoice}).
 */
package dev.oleander.work.wire.choice;
