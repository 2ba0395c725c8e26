/**
 * The same services as JSON, under /api. Records in {@code ApiJson}, errors in {@code ApiErrors}.
 *
 * <p>One package: a controller for each kind of address, all with the same records and errors.
 */
package dev.oleander.web.api;
