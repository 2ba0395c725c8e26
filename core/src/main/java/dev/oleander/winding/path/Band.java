package dev.oleander.winding.path;

/**
 * What is laid.
 *
 * @param width of all rovings side by side, mm
 * @param friction between band and what it lies on: greatest lambda at which it stays
 */
public record Band(double width, double friction) {}
