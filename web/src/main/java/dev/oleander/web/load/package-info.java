/** How much the server takes on at once: bodies of requests, and memory for files. */
package dev.oleander.web.load;
