/** Cutting with a wire that erodes. */
package dev.oleander.work.wire;
