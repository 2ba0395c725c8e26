package dev.oleander.plan.stop;

/**
 * One time round.
 *
 * @param offset of the path from the drawn line, mm
 * @param feed mm/min
 * @param film whether it only burns through the protective film, with the values for marking
 */
public record Pass(int number, double offset, double feed, boolean film) {}
