package dev.oleander.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.machine.Machine;
import dev.oleander.motion.RunMotion;
import dev.oleander.plan.Run;
import dev.oleander.plan.sheet.SheetPlan;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;

/** The latest plan and motion of each shape, so that a small change need not plan all anew. */
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
        private final Map<String, SheetPlan> plans = new ConcurrentHashMap<>();
        private final Map<String, RunMotion> motions = new ConcurrentHashMap<>();
    }

    private static int weight(Shape shape) {
        return LEAST_WEIGHT + shape.reading().features().size();
    }

    /**
     * @param making makes a plan from the latest one, which may be null
     */
    SheetPlan plan(Shape shape, Machine machine, UnaryOperator<SheetPlan> making) {
        Map<String, SheetPlan> plans = latest.get(shape, s -> new Latest()).plans;
        SheetPlan made = making.apply(plans.get(machine.id()));
        plans.put(machine.id(), made);
        return made;
    }

    RunMotion motion(Shape shape, Run run) {
        Map<String, RunMotion> motions = latest.get(shape, s -> new Latest()).motions;
        RunMotion earlier = motions.get(run.machine().id());
        RunMotion made = earlier == null ? RunMotion.of(run) : earlier.next(run);
        motions.put(run.machine().id(), made);
        return made;
    }
}
