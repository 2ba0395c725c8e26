package dev.oleander.value;

import java.util.Map;
import java.util.Optional;

/**
 * What values are asked of: a stop, or a whole job.
 *
 * @param here what was set for it alone
 * @param set the same, and under it what recipes and the job say
 * @param work what was made of it, in a class that its kind of work knows; empty when nothing could
 *     be
 * @param sources where what holds comes from, by the names that {@link Value#source} gives
 * @param names values that formulas may use by name
 * @param feature id of the feature that is worked; empty for a whole job
 * @param kind word of what it is worked as, see {@link dev.oleander.plan.Recipe.Rule#kind}
 */
public record Subject<T>(
        T here,
        T set,
        Optional<?> work,
        Map<String, Source> sources,
        Map<String, Double> names,
        String feature,
        String kind) {

    /** What was made of it; empty when nothing could be. */
    public <W> Optional<W> work(Class<W> type) {
        return work.filter(type::isInstance).map(type::cast);
    }
}
