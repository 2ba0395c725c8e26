package dev.oleander.work;

/**
 * How far parts that are nested keep from each other.
 *
 * @param gap between parts and at the edge where nothing was said, mm
 * @param least below which the cut of one part would spoil the other, mm
 * @param source where the gap comes from, for people
 */
public record Spacing(double gap, double least, String source) {}
