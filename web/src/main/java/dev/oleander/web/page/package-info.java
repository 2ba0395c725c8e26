/** What all pages share. */
package dev.oleander.web.page;
