/** Cut books as the shop has changed them: every change is kept with who made it and when. */
package dev.oleander.web.book;
