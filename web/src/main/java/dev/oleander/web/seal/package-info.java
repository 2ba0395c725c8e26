/**
 * Seals that show whether something kept was changed: a canonical form, keys outside of the
 * database, one chain over the shop and its head outside of the database.
 */
package dev.oleander.web.seal;
