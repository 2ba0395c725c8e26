package dev.oleander.drawing;

/**
 * Entities that were left out.
 *
 * @param lineWork whether geometry that might be wanted was left out, not only notes
 */
public record Skipped(String entity, String layer, int count, String why, boolean lineWork) {}
