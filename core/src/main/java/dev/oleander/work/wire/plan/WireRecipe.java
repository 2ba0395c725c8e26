package dev.oleander.work.wire.plan;

/**
 * A saved way to cut a kind of feature with a wire.
 *
 * @param kind of cut it is for; null: only where it is given by hand
 * @param order of the visits of a job that takes it up; null: as the job has it
 */
public record WireRecipe(String name, WireKind kind, WireChoice choice, WireOrder order) {}
