/** The stock of the shop: remnants of sheets, with their outline and their place. */
package dev.oleander.web.stock;
