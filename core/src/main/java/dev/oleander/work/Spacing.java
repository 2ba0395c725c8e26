package dev.oleander.work;

import java.util.Optional;

/**
 * How far parts that are nested keep from each other.
 *
 * @param gap between parts and at the edge where nothing was said, mm
 * @param least below which the cut of one part would spoil the other, mm
 * @param source where the gap comes from, for people
 * @param kerf with which two parts may share a cut, mm; empty when none is the same for all, or the
 *     controller compensates
 */
public record Spacing(double gap, double least, String source, Optional<Double> kerf) {}
