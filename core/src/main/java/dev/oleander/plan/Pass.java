package dev.oleander.plan;

/** One time round: offset of the path from the drawn line, mm, and feed, mm/min. */
public record Pass(int number, double offset, double feed) {}
