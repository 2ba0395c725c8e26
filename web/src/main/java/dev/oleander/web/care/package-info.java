/** What the lead looks after: who did what, whether seals hold, how the server is. */
package dev.oleander.web.care;
