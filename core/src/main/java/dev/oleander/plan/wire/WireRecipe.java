package dev.oleander.plan.wire;

/**
 * A saved way to cut a kind of feature with a wire.
 *
 * @param kind of cut it is for; null: only where it is given by hand
 */
public record WireRecipe(String name, WireKind kind, WireChoice choice) {}
