package dev.oleander.work;

import java.util.Optional;

/**
 * How far parts that are nested keep from each other.
 *
 * @param gap between parts and at the edge where nothing was said, mm
 * @param least below which the cut of one part would spoil the other, mm
 * @param source where the gap comes from, for people
 * @param shared width of a cut that two parts may share, mm; empty when it is not the same for all,
 *     or the controller compensates
 */
public record Spacing(double gap, double least, String source, Optional<Double> shared) {}
