/** Letters over HTTP: the fonts of the shop, texts that are laid out. */
package dev.oleander.web.letter;
