/** Descriptions of program formats: those that ship, and what the shop made of them. */
package dev.oleander.web.format;
