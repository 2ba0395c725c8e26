package dev.oleander.plan;

import java.util.List;
import java.util.Map;

/**
 * What people decide alike for every kind of work.
 *
 * @param run the order of its stops, and what happens besides
 * @param stops choices by feature ("c3") for all copies, or by stop ("c3.2") for one
 * @param recipes ways to work kinds of features, where nothing is set for the stop; of several that
 *     fit, the earlier one decides
 * @param given names of recipes given to features by hand, by feature; they go before those that
 *     fit by rule
 */
public record Decisions<S extends Choice<S>>(
        RunChoices run, Map<String, S> stops, List<Recipe<S>> recipes, Map<String, String> given) {}
