/**
 * What browsers fetch besides pages: styles, fonts, modules, libraries, each under an address that
 * changes with it.
 */
package dev.oleander.web.asset;
