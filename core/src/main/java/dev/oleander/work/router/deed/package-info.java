/** What is to be done to the features of a drawing: as people wish it, and by rules. */
package dev.oleander.work.router.deed;
