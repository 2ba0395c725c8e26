/** How long work tells how far it is, and is told to stop. */
package dev.oleander.progress;
