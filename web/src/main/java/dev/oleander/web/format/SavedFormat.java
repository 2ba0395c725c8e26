package dev.oleander.web.format;

import java.time.Instant;

/**
 * One version of a format's description, for people.
 *
 * @param by empty for the one that ships
 * @param at null for the one that ships
 */
public record SavedFormat(
        String name, int version, String description, String note, String by, Instant at) {}
