/**
 * The same services as JSON, under /api. Records in {@code ApiJson}, errors in {@code ApiErrors}.
 */
package dev.oleander.web.api;
