/**
 * Places along a profile: where it is begun, where it is held, where a hole for it has room, and
 * rings that leave nothing to hold.
 */
package dev.oleander.work.wire.hold;
