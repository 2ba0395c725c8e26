package dev.oleander.work;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Recipe;

/**
 * A recipe that new shops begin with.
 *
 * @param process of the machines it is for; empty: all that do the work
 */
public record Starter<S extends Choice<S>>(String process, Recipe<S> recipe) {}
