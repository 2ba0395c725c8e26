package dev.oleander.web.job.result;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.machine.Machine;
import dev.oleander.work.Plan;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/** The latest plan of each shape, so that a small change need not plan all anew. */
final class LatestPlans {

    /** Features of all shapes together. */
    private static final int MOST_FEATURES = 100_000;

    /** What a shape counts as besides its features. */
    private static final int LEAST_WEIGHT = 100;

    /** By identity: shapes are kept as long as their documents are looked at. */
    private final Cache<Shape, Latest> latest =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(MOST_FEATURES)
                    .weigher((Shape shape, Latest of) -> weight(shape))
                    .build();

    /** Of one shape, by id of the machine. */
    private static final class Latest {
        private final Map<String, Plan> plans = new ConcurrentHashMap<>();
    }

    private static int weight(Shape shape) {
        return LEAST_WEIGHT + shape.reading().features().size();
    }

    /**
     * @param making makes a plan from the latest one
     */
    Plan plan(Shape shape, Machine machine, Function<Optional<Plan>, Plan> making) {
        Map<String, Plan> plans = latest.get(shape, s -> new Latest()).plans;
        Plan made = making.apply(Optional.ofNullable(plans.get(machine.id())));
        plans.put(machine.id(), made);
        return made;
    }
}
