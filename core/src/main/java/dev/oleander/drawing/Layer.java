package dev.oleander.drawing;

/** A layer of a drawing. {@code visible} is false when it is switched off or frozen. */
public record Layer(String name, int colour, boolean visible) {}
