/** What the wire does, item by item, from its plan. */
package dev.oleander.work.wire.motion;
