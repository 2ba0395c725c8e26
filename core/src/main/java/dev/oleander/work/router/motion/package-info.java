/** What a router does, move by move. */
package dev.oleander.work.router.motion;
